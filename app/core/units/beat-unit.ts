import type { Bpm } from "./brand";

/** Beat units by name; value as an exact fraction [numerator, denominator] of a whole note. */
export const BEAT_UNITS = {
  whole: [1, 1],
  "dotted-half": [3, 4],
  half: [1, 2],
  "dotted-quarter": [3, 8],
  quarter: [1, 4],
  "dotted-eighth": [3, 16],
  eighth: [1, 8],
  sixteenth: [1, 16],
} as const satisfies Record<string, readonly [number, number]>;

export type BeatUnit = keyof typeof BEAT_UNITS;

export const BEAT_UNIT_NAMES = Object.keys(BEAT_UNITS) as [BeatUnit, ...BeatUnit[]];

/** How much of a whole note the unit lasts. */
export function beatUnitValue(unit: BeatUnit): number {
  const [numerator, denominator] = BEAT_UNITS[unit];
  return numerator / denominator;
}

/**
 * The same speed told in another beat unit, exactly: bpm₂ = bpm₁ × value₁ / value₂, multiplied
 * out as whole numbers before the one division.
 */
export function convertTempo(at: Bpm, from: BeatUnit, to: BeatUnit): Bpm {
  const [fromTop, fromBottom] = BEAT_UNITS[from];
  const [toTop, toBottom] = BEAT_UNITS[to];
  return ((at * fromTop * toBottom) / (fromBottom * toTop)) as Bpm;
}
