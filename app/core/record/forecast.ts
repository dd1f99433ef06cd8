import { chanceToStand } from "./estimate";
import { someDaysLater, type Level } from "./level";
import { COMFORTABLE_PROBABILITY } from "./model";

/** What is asked of the days ahead. */
export interface Goal {
  /** To be stood at, in bpm: a clean play there is nearly certain. */
  readonly target: number;
  /** P(clean) that counts as nearly certain; a part of a passage needs less of the whole. */
  readonly probability?: number;
  /** The chance that a day is one of practice, 0–1. */
  readonly practised: number;
}

/** The chances of each day ahead: the first is today's. */
export function* chancesAhead(
  level: Level,
  { target, probability = COMFORTABLE_PROBABILITY, practised }: Goal,
): Generator<number> {
  for (let then = level; ; then = someDaysLater(then, practised)) {
    yield chanceToStand(then, target, probability);
  }
}

/** The chance to stand at the target in so many days. */
export function chanceIn(level: Level, days: number, goal: Goal): number {
  const then = someDaysLater(level, goal.practised, Math.max(0, days));
  return chanceToStand(then, goal.target, goal.probability ?? COMFORTABLE_PROBABILITY);
}

/** Days until the target is stood at: as likely as not, and the span that holds it four times in five. */
export interface DaysAhead {
  readonly likely: number | undefined;
  readonly soonest: number | undefined;
  readonly latest: number | undefined;
}

const MOST_DAYS = 2 * 365;

/** Days to the target; undefined what does not come about within two years. */
export function daysTo(level: Level, goal: Goal): DaysAhead {
  let [soonest, likely]: (number | undefined)[] = [undefined, undefined];
  let day = 0;
  for (const chance of chancesAhead(level, goal)) {
    if (chance >= 0.1) soonest ??= day;
    if (chance >= 0.5) likely ??= day;
    if (chance >= 0.9) return { soonest, likely, latest: day };
    if (++day > MOST_DAYS) break;
  }
  return { soonest, likely, latest: undefined };
}
