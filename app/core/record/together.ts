import { TUNED } from "./filter";
import { weightsOf, type Level } from "./level";
import { widthsTo } from "./estimate";
import { COMFORTABLE_PROBABILITY } from "./model";
import { normalAt, normalBelow } from "./normal";

/** One of the passages that are to stand together. */
export interface OneOfMany {
  readonly level: Level;
  readonly target: number;
  readonly practised: number;
}

/** The share of what is uncertain in a gain that all passages of a player have in common. */
const SHARED = 0.4;
const RUNS = 200;

/** What is common to a player's gains, spread evenly over the runs. */
const COMMON = Array.from({ length: RUNS }, (_, run) => normalAt((run + 0.5) / RUNS));

/** The chance to stand at the target after so many days, so many of them practised. */
function chanceAfter(
  { level, target }: OneOfMany,
  weights: readonly number[],
  days: number,
  practised: number,
): number {
  const { gainKept, levelDrift, lostADay } = TUNED;
  const nights = (1 - gainKept ** practised) / (1 - gainKept);
  const widths = widthsTo(COMFORTABLE_PROBABILITY);
  return level.filters.reduce((sum, filter, i) => {
    const mean =
      filter.level + filter.gain * nights - lostADay * (days - practised) + filter.width * widths;
    const variance =
      filter.levelVar +
      2 * nights * filter.covar +
      nights ** 2 * filter.gainVar +
      days * levelDrift ** 2;
    return sum + weights[i]! * normalBelow((mean - Math.log(target)) / Math.sqrt(variance));
  }, 0);
}

/**
 * The chance that all of some passages stand in so many days. Days that are missed are missed by all
 * of them, and who gains more in one gains more in the others in part; so it is higher than if each
 * were by itself, and never above the weakest one's.
 */
export function chanceTogether(
  passages: readonly OneOfMany[],
  days: number,
  random: () => number,
): number {
  if (passages.length === 0) return 1;
  // What each needs, as a normal's quantile, by the number of days on which it is practised.
  const needs = passages.map((passage) => {
    const weights = weightsOf(passage.level);
    const known: number[] = [];
    return (n: number) => (known[n] ??= normalAt(chanceAfter(passage, weights, days, n)));
  });
  const shares = [...new Set(passages.map(({ practised }) => practised))];
  const which = passages.map(({ practised }) => shares.indexOf(practised));
  const own = Math.sqrt(1 - SHARED);
  const sums = passages.map(() => 0);
  let all = 0;
  for (let run = 0; run < RUNS; run++) {
    const practisedDays = shares.map(() => 0);
    for (let day = 0; day < days; day++) {
      const lot = random();
      for (let s = 0; s < shares.length; s++) if (lot < shares[s]!) practisedDays[s]!++;
    }
    const shift = Math.sqrt(SHARED) * COMMON[run]!;
    let together = 1;
    for (let p = 0; p < needs.length; p++) {
      const chance = normalBelow((needs[p]!(practisedDays[which[p]!]!) - shift) / own);
      sums[p]! += chance;
      together *= chance;
    }
    all += together;
  }
  return Math.min(all, ...sums) / RUNS;
}
