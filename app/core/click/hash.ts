/** A number in [0, 1) that depends on all of the given whole numbers, and on nothing else. */
export function hashed(...parts: readonly number[]): number {
  let mixed = 0x9e3779b9;
  for (const part of parts) {
    mixed = Math.imul(mixed ^ part, 0x85ebca6b);
    mixed = Math.imul(mixed ^ (mixed >>> 13), 0xc2b2ae35);
    mixed ^= mixed >>> 16;
  }
  return (mixed >>> 0) / 4294967296;
}
