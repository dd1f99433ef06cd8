import { TEMPO_LIMITS } from "./tempo";
import type { Bpm } from "./brand";

/** The traditional scale: up to each tempo, in steps of so much; by 2 below 60, by 8 from 144. */
const SCALE = [
  { upTo: 60, by: 2 },
  { upTo: 72, by: 3 },
  { upTo: 120, by: 4 },
  { upTo: 144, by: 6 },
  { upTo: TEMPO_LIMITS.highest, by: 8 },
] as const;

/** All metronome marks from 10 to 400 bpm, rising. */
export const METRONOME_MARKS: readonly Bpm[] = (() => {
  const marks: number[] = [TEMPO_LIMITS.lowest];
  for (const { upTo, by } of SCALE) {
    for (let next = marks.at(-1)! + by; next <= upTo; next += by) marks.push(next);
  }
  return marks as Bpm[];
})();

/** The mark `steps` above (or, negative, below) a tempo; stops at the ends of the scale. */
export function markFrom(at: Bpm, steps: number): Bpm {
  if (steps === 0) return at;
  const above = METRONOME_MARKS.findIndex((mark) => mark > at);
  const firstAbove = above === -1 ? METRONOME_MARKS.length : above;
  const lastBelow = METRONOME_MARKS.findLastIndex((mark) => mark < at);
  const index = steps > 0 ? firstAbove + steps - 1 : lastBelow + steps + 1;
  return METRONOME_MARKS[Math.min(METRONOME_MARKS.length - 1, Math.max(0, index))]!;
}
