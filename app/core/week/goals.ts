import { daysBetween, type Day } from "~/core/units";
import type { WeekGoal } from "./assignment";

/** What a week came to. */
export interface WeekDone {
  readonly minutes: number;
  readonly days: number;
}

const RAISE = 1.1;
const FAR_BELOW = 0.5;
const LOWER = 0.75;
const STEP_MINUTES = 5;

export type GoalMove = "raised" | "kept" | "lowered";

const toStep = (minutes: number) => Math.round(minutes / STEP_MINUTES) * STEP_MINUTES;

/**
 * Next week's goal: reached, a tenth more minutes (five at least) and a day more up to six; missed
 * by more than half, three quarters of it; in between, the same again. Never above what there is.
 */
export function nextGoal(
  goal: WeekGoal,
  done: WeekDone,
  available: WeekDone,
): WeekGoal & { readonly move: GoalMove } {
  const within = (minutes: number, days: number, move: GoalMove) => ({
    minutes: Math.min(minutes, available.minutes),
    days: Math.min(days, available.days),
    move,
  });
  if (done.minutes >= goal.minutes && done.days >= goal.days) {
    const more = Math.max(goal.minutes + STEP_MINUTES, toStep(goal.minutes * RAISE));
    return within(more, Math.max(goal.days, Math.min(6, goal.days + 1)), "raised");
  }
  if (done.minutes < goal.minutes * FAR_BELOW) {
    const less = Math.max(STEP_MINUTES, toStep(goal.minutes * LOWER));
    return within(less, Math.max(1, goal.days - 1), "lowered");
  }
  return within(goal.minutes, goal.days, "kept");
}

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
