import { TUNED } from "./filter";
import { weightsOf, type Level } from "./level";
import { widthsTo } from "./estimate";
import { COMFORTABLE_PROBABILITY } from "./model";
import { normalBelow } from "./normal";

/** One of the passages that are to stand together. */
export interface OneOfMany {
  readonly level: Level;
  readonly target: number;
  readonly practised: number;
}

/** The share of what is uncertain in a gain that all passages of a player have in common. */
const SHARED = 0.4;
const RUNS = 200;

/** The chance to stand at the target after so many days, so many of them practised. */
function chanceAfter({ level, target }: OneOfMany, days: number, practised: number): number {
  const { gainKept, levelDrift, lostADay } = TUNED;
  const nights = (1 - gainKept ** practised) / (1 - gainKept);
  const weights = weightsOf(level);
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

const LN_LIMIT = 6;

/** z with P(Z ≤ z) of a standard normal, by halving. */
function normalAt(share: number): number {
  let [low, high] = [-LN_LIMIT, LN_LIMIT];
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2;
    if (normalBelow(middle) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
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
  const needs = passages.map((passage) =>
    Array.from({ length: days + 1 }, (_, n) => normalAt(chanceAfter(passage, days, n))),
  );
  const own = Math.sqrt(1 - SHARED);
  const sums = passages.map(() => 0);
  let all = 0;
  for (let run = 0; run < RUNS; run++) {
    const lots = Array.from({ length: days }, random);
    const common = normalAt((run + 0.5) / RUNS);
    let together = 1;
    passages.forEach(({ practised }, p) => {
      const n = lots.filter((lot) => lot < practised).length;
      const chance = normalBelow((needs[p]![n]! - Math.sqrt(SHARED) * common) / own);
      sums[p]! += chance;
      together *= chance;
    });
    all += together;
  }
  return Math.min(all, ...sums) / RUNS;
}
