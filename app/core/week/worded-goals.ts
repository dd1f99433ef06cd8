import { addDays, type Day } from "~/core/units";

export const GOAL_SPANS = ["day", "week", "month", "year"] as const;
export type GoalSpan = (typeof GOAL_SPANS)[number];

const LENGTH: Readonly<Record<GoalSpan, number>> = { day: 1, week: 7, month: 31, year: 366 };

/** A goal in words, checked off when it is reached. */
export interface WordedGoal {
  readonly id: string;
  readonly span: GoalSpan;
  readonly text: string;
  readonly from_day: Day;
  /** The larger goal that it serves. */
  readonly serves: string | null;
  readonly done_on: Day | null;
}

/** The day after its last one. */
export const goalUntil = ({ span, from_day }: Pick<WordedGoal, "span" | "from_day">): Day =>
  addDays(from_day, LENGTH[span]);

/** Whether a span is long enough that smaller goals can serve it. */
export const canBeServed = (span: GoalSpan): boolean => span === "month" || span === "year";

/** A goal with the smaller ones that serve it. */
export interface ServedGoal extends WordedGoal {
  readonly servedBy: readonly WordedGoal[];
}

const bySpan = (a: WordedGoal, b: WordedGoal) =>
  GOAL_SPANS.indexOf(a.span) - GOAL_SPANS.indexOf(b.span) || (a.from_day < b.from_day ? -1 : 1);

/** The goals of today: those that run or are still open, each with what serves it. */
export function goalsNow(all: readonly WordedGoal[], today: Day): ServedGoal[] {
  return all
    .filter((goal) => goalUntil(goal) > today)
    .toSorted(bySpan)
    .map((goal) => ({ ...goal, servedBy: all.filter(({ serves }) => serves === goal.id) }));
}
