import type { MidiNote } from "./file";

/** So many steps a quarter note: 32nds and triplets of 16ths both fall on them. */
export const STEPS = 24;
const PLAIN = 3;
const TRIPLET = 4;
/** Notes are let go a little early: so many steps are added before the end is drawn to the grid. */
const LET_GO = 1;

/** Notes that begin together, on the steps. */
export interface Struck {
  readonly from: number;
  readonly to: number;
  readonly pitches: readonly number[];
}

const nearest = (value: number, grid: number): number => Math.round(value / grid) * grid;

/** For each beat whether its onsets lie better on triplets than on halves and quarters. */
function gridOf(onsets: readonly number[]): (step: number) => number {
  const misses = new Map<number, { plain: number; triplet: number }>();
  for (const onset of onsets) {
    const beat = Math.floor((onset + 0.75) / STEPS);
    const miss = misses.get(beat) ?? { plain: 0, triplet: 0 };
    miss.plain += Math.abs(onset - nearest(onset, PLAIN));
    // A little more has to speak for triplets than for what is usual.
    miss.triplet += Math.abs(onset - nearest(onset, TRIPLET)) + 0.05;
    misses.set(beat, miss);
  }
  return (step) => {
    const miss = misses.get(Math.floor((step + 0.75) / STEPS));
    return miss && miss.triplet < miss.plain ? TRIPLET : PLAIN;
  };
}

/**
 * What one hand or voice strikes, as it would be written: onsets and ends drawn to the nearest step,
 * one chord after the other. `shortened` are the steps where something was held beyond the next.
 */
export function struckNotes(notes: readonly MidiNote[], perQuarter: number) {
  const scaled = notes.map(({ from, to, pitch }) => ({
    from: (from * STEPS) / perQuarter,
    to: (to * STEPS) / perQuarter,
    pitch,
  }));
  const grid = gridOf(scaled.map(({ from }) => from));
  const together = new Map<number, { to: number; pitches: Set<number> }>();
  for (const { from, to, pitch } of scaled) {
    const onset = Math.max(0, nearest(from, grid(from)));
    const end = Math.max(onset + grid(from), nearest(to + LET_GO, grid(to)));
    const chord = together.get(onset) ?? { to: end, pitches: new Set<number>() };
    chord.to = Math.max(chord.to, end);
    chord.pitches.add(pitch);
    together.set(onset, chord);
  }
  const inOrder = [...together].sort(([a], [b]) => a - b);
  const shortened: number[] = [];
  const struck = inOrder.map(([from, { to, pitches }], i): Struck => {
    const next = inOrder[i + 1]?.[0] ?? Infinity;
    if (to > next + STEPS / 6) shortened.push(from);
    return { from, to: Math.min(to, next), pitches: [...pitches].sort((a, b) => a - b) };
  });
  return { struck, shortened };
}
