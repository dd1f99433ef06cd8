import { daysBetween, type Day } from "~/core/units";
import type { AssignmentText, WeekGoal } from "./assignment";

/** What a week came to. */
export interface WeekDone {
  readonly minutes: number;
  readonly days: number;
}

/** What is asked of so many days, for so many others; of no days it stays as it is. */
export function spread({ minutes, days }: WeekGoal, was: number, is: number): WeekGoal {
  if (was <= 0 || is === was) return { minutes, days };
  const share = is / was;
  return { minutes: Math.round(minutes * share), days: Math.min(is, Math.round(days * share)) };
}

type Asked = Pick<AssignmentText, "goal" | "goesOn">;
const WEEK_DAYS = 7;

/** What a week of so many days asks of seven, as it is in the end. */
export const weekly = ({ goal, goesOn }: Asked, length: number): WeekGoal =>
  goesOn ?? spread(goal, length, WEEK_DAYS);

/** What a week of so many days has asked when its lesson is some days late. */
export function askedLate({ goal, goesOn }: Asked, length: number, late: number): WeekGoal {
  if (!goesOn) return spread(goal, length, length + late);
  const more = spread(goesOn, WEEK_DAYS, late);
  return { minutes: goal.minutes + more.minutes, days: goal.days + more.days };
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
