import { daysBetween, type Day } from "~/core/units";
import type { Asked } from "./item-days";

/** What a week came to. */
export interface WeekDone {
  readonly minutes: number;
  readonly days: number;
}

/** So many days after its lesson should have been, nobody goes by a week any more. */
export const STALE_DAYS = 28;

const MONTH_DAYS = 28;
const FAR_BELOW = 0.5;
const HALF_OVER = 0.5;
const LESS = 0.75;
const FEWEST_MINUTES = 3;

/** How much of a week is over, from 0 to 1; the day that is on is not. */
export const shareOver = (from: Day, until: Day, today: Day): number =>
  until <= from ? 1 : Math.min(1, Math.max(0, daysBetween(from, today) / daysBetween(from, until)));

/**
 * Whether a week came to less than half of what its days asked by now: the next one is smaller on
 * purpose. `over` is the share of it that is over; before half of it is, nobody can say.
 */
export const wasWeak = (asked: Asked, done: WeekDone, over = 1): boolean =>
  over >= HALF_OVER && asked.minutes > 0 && done.minutes < asked.minutes * FAR_BELOW;

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

/** What a week of so many days asks, told as day, week, month and concert. */
export function nestedGoals(
  { minutes, days }: Asked,
  length: number,
  today: Day,
  concert: Day | undefined,
): NestedGoals {
  const left = concert === undefined ? -1 : daysBetween(today, concert);
  const inDays = (count: number) => Math.round((minutes * count) / Math.max(1, length));
  return {
    day: days > 0 ? Math.ceil(minutes / days) : 0,
    week: minutes,
    month: inDays(MONTH_DAYS),
    concert: left > 0 ? inDays(left) : undefined,
  };
}
