/** A stream of numbers in [0, 1), the same for the same seed (mulberry32). */
export type Random = () => number;

export function seeded(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** A random version-4 UUID from the stream. */
export function seededUuid(random: Random): string {
  const hex = Array.from({ length: 32 }, (_, i) => {
    if (i === 12) return "4";
    const digit = Math.floor(random() * 16);
    return (i === 16 ? (digit & 3) | 8 : digit).toString(16);
  }).join("");
  return [8, 12, 16, 20].reduceRight((text, at) => `${text.slice(0, at)}-${text.slice(at)}`, hex);
}
