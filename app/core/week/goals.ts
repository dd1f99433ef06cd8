import { daysBetween, type Day } from "~/core/units";
import type { AssignmentText, WeekGoal } from "./assignment";

/** What a week came to. */
export interface WeekDone {
  readonly minutes: number;
  readonly days: number;
}

const WEEK_DAYS = 7;

/**
 * What a week of so many days asks of seven: as it is in the end, where more came into it on the
 * way, else in proportion. Of no days it stays as it is.
 */
export function weekly(
  { goal, goesOn }: Pick<AssignmentText, "goal" | "goesOn">,
  length: number,
): WeekGoal {
  if (goesOn) return goesOn;
  if (length <= 0 || length === WEEK_DAYS) return goal;
  const share = WEEK_DAYS / length;
  const { minutes, days } = goal;
  return {
    minutes: Math.round(minutes * share),
    days: Math.min(WEEK_DAYS, Math.round(days * share)),
  };
}

/** So many days after its lesson should have been, nobody goes by a week any more. */
export const STALE_DAYS = 28;

const FAR_BELOW = 0.5;
const HALF_OVER = 0.5;
const LESS = 0.75;
const FEWEST_MINUTES = 3;

/** How much of a week is over, from 0 to 1; the day that is on is not. */
export const shareOver = (from: Day, until: Day, today: Day): number =>
  until <= from ? 1 : Math.min(1, Math.max(0, daysBetween(from, today) / daysBetween(from, until)));

/**
 * Whether a week came to less than half of what it asked by now: the next one is smaller on
 * purpose. `over` is the share of it that is over; before half of it is, nobody can say.
 */
export const wasWeak = (goal: WeekGoal, done: WeekDone, over = 1): boolean =>
  over >= HALF_OVER && goal.minutes > 0 && done.minutes < goal.minutes * over * FAR_BELOW;

/** The minutes of an item in a week that is smaller on purpose: three quarters. */
export const smaller = (minutes: number): number =>
  Math.max(Math.min(FEWEST_MINUTES, minutes), Math.round(minutes * LESS));

export interface NestedGoals {
  /** Minutes on each day of practice. */
  readonly day: number;
  readonly week: number;
  /** Four weeks. */
  readonly month: number;
  /** From today to the concert; undefined without one ahead. */
  readonly concert: number | undefined;
}

/** A week's goal told as day, week, month and concert. */
export function nestedGoals(goal: WeekGoal, today: Day, concert: Day | undefined): NestedGoals {
  const left = concert === undefined ? -1 : daysBetween(today, concert);
  return {
    day: goal.days > 0 ? Math.ceil(goal.minutes / goal.days) : 0,
    week: goal.minutes,
    month: goal.minutes * 4,
    concert: left > 0 ? Math.round((goal.minutes * left) / 7) : undefined,
  };
}
