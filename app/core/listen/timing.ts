/** An onset belongs to a beat when it is no further from it than this share of the beat. */
const BELONGS_WITHIN = 0.4;
/** With fewer of the beats met than this nothing is said. */
const ENOUGH_MET = 0.6;
const FEWEST = 4;

/** Onsets against the beats they were meant for, in the unit of the times that are given. */
export interface Timing {
  /** Asynchronies of the beats that were met, in their order: below 0 early, above 0 late. */
  readonly offsets: readonly number[];
  /** Their mean: a constant lead or lag is the player's, or the machine's. */
  readonly bias: number;
  /** Their standard deviation. */
  readonly spread: number;
  /** Beats without an onset. */
  readonly missed: number;
  /** Onsets that belong to no beat. */
  readonly extra: number;
}

/** Onsets against expected beats, both rising; undefined when too few beats were met. */
export function timingAgainst(
  onsets: readonly number[],
  beats: readonly number[],
): Timing | undefined {
  const belonging = new Set<number>();
  const offsets = beats.flatMap((beat, i) => {
    const length = (beats[i + 1] ?? beat) - beat || beat - (beats[i - 1] ?? beat);
    const nearest = onsets.reduce<number | undefined>((best, onset) => {
      const closer = best === undefined || Math.abs(onset - beat) < Math.abs(best - beat);
      return closer ? onset : best;
    }, undefined);
    if (nearest === undefined || Math.abs(nearest - beat) > BELONGS_WITHIN * length) return [];
    belonging.add(nearest);
    return [nearest - beat];
  });
  if (offsets.length < FEWEST || offsets.length < ENOUGH_MET * beats.length) return undefined;
  const bias = offsets.reduce((sum, each) => sum + each, 0) / offsets.length;
  const squares = offsets.reduce((sum, each) => sum + (each - bias) ** 2, 0);
  return {
    offsets,
    bias,
    spread: Math.sqrt(squares / (offsets.length - 1)),
    missed: beats.length - offsets.length,
    extra: onsets.filter((onset) => !belonging.has(onset)).length,
  };
}
