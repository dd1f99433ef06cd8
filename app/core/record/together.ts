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

/** The chance to stand at the target after so many days, as a function of those practised. */
function chanceAfter({ level, target }: OneOfMany, days: number) {
  const { gainKept, levelDrift, lostADay } = TUNED;
  const weights = weightsOf(level);
  const widths = widthsTo(COMFORTABLE_PROBABILITY);
  const ln = Math.log(target);
  return (practised: number): number => {
    const nights = (1 - gainKept ** practised) / (1 - gainKept);
    const around = days * levelDrift ** 2;
    let chance = 0;
    for (let i = 0; i < weights.length; i++) {
      const filter = level.filters[i]!;
      const gained = filter.gain * nights - lostADay * (days - practised);
      const ahead = nights * (2 * filter.covar + nights * filter.gainVar);
      const over = filter.level + gained + filter.width * widths - ln;
      chance += weights[i]! * normalBelow(over / Math.sqrt(filter.levelVar + ahead + around));
    }
    return chance;
  };
}

/** Of so many days, those practised by each of some shares, ascending: missed are the same ones. */
function daysPractised(shares: readonly number[], days: number, random: () => number): number[] {
  const practised = shares.map(() => 0);
  for (let day = 0; day < days; day++) {
    const lot = random();
    for (let s = shares.length - 1; s >= 0 && lot < shares[s]!; s--) practised[s]!++;
  }
  return practised;
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
  const chances = passages.map((passage) => chanceAfter(passage, days));
  const needs = passages.map(() => new Float64Array(days + 1).fill(NaN));
  const shares = [...new Set(passages.map(({ practised }) => practised))].sort((a, b) => a - b);
  const which = passages.map(({ practised }) => shares.indexOf(practised));
  const own = Math.sqrt(1 - SHARED);
  const sums = passages.map(() => 0);
  let all = 0;
  for (let run = 0; run < RUNS; run++) {
    const practised = daysPractised(shares, days, random);
    const shift = Math.sqrt(SHARED) * COMMON[run]!;
    let together = 1;
    for (let p = 0; p < needs.length; p++) {
      const n = practised[which[p]!]!;
      if (Number.isNaN(needs[p]![n]!)) needs[p]![n] = normalAt(chances[p]!(n));
      const chance = normalBelow((needs[p]![n]! - shift) / own);
      sums[p]! += chance;
      together *= chance;
    }
    all += together;
  }
  return Math.min(all, ...sums) / RUNS;
}
