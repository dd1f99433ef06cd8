import { weightsOf, type Level } from "./level";

/** 10 and 90 % of a normal lie so many standard deviations from its mean. */
const TENTH = 1.2816;

/**
 * What a student gains in a day of practice, in percent of the tempo: what is believed of it, with
 * the span that holds it four times in five, and not the largest jump from one day to another.
 */
export function dailyGain(level: Level): { value: number; low: number; high: number } {
  const weights = weightsOf(level);
  const mean = level.filters.reduce((sum, { gain }, i) => sum + weights[i]! * gain, 0);
  const square = level.filters.reduce(
    (sum, { gain, gainVar }, i) => sum + weights[i]! * (gainVar + (gain - mean) ** 2),
    0,
  );
  const percent = (gain: number) => 100 * (Math.exp(gain) - 1);
  const reach = TENTH * Math.sqrt(square);
  return { value: percent(mean), low: percent(mean - reach), high: percent(mean + reach) };
}
