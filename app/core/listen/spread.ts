/** An onset belongs to a beat when it is no further from it than this share of the beat. */
const BELONGS_WITHIN = 0.4;
/** With fewer of the beats met than this nothing is said. */
const ENOUGH_MET = 0.6;
const FEWEST = 4;

/**
 * Spread (standard deviation) of the asynchronies of onsets against expected beats, in the unit of
 * the times that are given; both rising. A constant lead or lag is the player's or the machine's
 * and does not count. Undefined when too few beats were met.
 */
export function spreadAgainst(
  onsets: readonly number[],
  beats: readonly number[],
): number | undefined {
  const met = beats.flatMap((beat, i) => {
    const length = (beats[i + 1] ?? beat) - beat || beat - (beats[i - 1] ?? beat);
    const nearest = onsets.reduce<number | undefined>((best, onset) => {
      const closer = best === undefined || Math.abs(onset - beat) < Math.abs(best - beat);
      return closer ? onset : best;
    }, undefined);
    const belongs = nearest !== undefined && Math.abs(nearest - beat) <= BELONGS_WITHIN * length;
    return belongs ? [nearest - beat] : [];
  });
  if (met.length < FEWEST || met.length < ENOUGH_MET * beats.length) return undefined;
  const mean = met.reduce((sum, each) => sum + each, 0) / met.length;
  const squares = met.reduce((sum, each) => sum + (each - mean) ** 2, 0);
  return Math.sqrt(squares / (met.length - 1));
}
