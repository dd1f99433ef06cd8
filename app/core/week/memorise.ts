import * as v from "valibot";
import { addDays, daysBetween, type Day } from "~/core/units";

export const MEMORY_UNITS = ["bars", "lines", "pages"] as const;

const day = v.pipe(v.string(), v.isoDate("A date is written as 2026-11-30."));

/** Learning by heart: so many bars, lines or pages from one day to a concert, with weeks of margin. */
export const memoryPlanSchema = v.pipe(
  v.object({
    unit: v.picklist(MEMORY_UNITS),
    total: v.pipe(
      v.number("How many?"),
      v.integer("Whole bars, lines or pages."),
      v.minValue(1, "At least one."),
      v.maxValue(5000, "At most 5,000."),
    ),
    /** The bars at which lines or pages begin; without them all are taken to be equally long. */
    begins: v.optional(
      v.pipe(
        v.array(v.pipe(v.number(), v.integer("Bars as numbers: 1, 5, 9."))),
        v.maxLength(2000, "At most 2,000."),
        v.check(([first]) => first === 1, "The first begins at bar 1."),
        v.check(
          (bars) => bars.every((bar, at) => at === 0 || bar > bars[at - 1]!),
          "One after the other: 1, 5, 9.",
        ),
      ),
    ),
    from: day,
    concert: day,
    marginWeeks: v.pipe(
      v.number("Weeks are a number."),
      v.integer("Whole weeks."),
      v.minValue(0, "Not below 0."),
      v.maxValue(26, "At most 26 weeks."),
    ),
  }),
  v.forward(
    v.check(
      ({ from, concert, marginWeeks }) => addDays(concert, -7 * marginWeeks) > from,
      "With this margin there is no day left to learn on: an earlier start, or fewer weeks.",
    ),
    ["marginWeeks"],
  ),
);
export type MemoryPlan = v.InferOutput<typeof memoryPlanSchema>;

export interface MemoryStanding {
  /** The last day of learning: the concert less the margin. */
  readonly ready: Day;
  /** Units that should stand by today. */
  readonly should: number;
  /** Whole days ahead; negative when behind. */
  readonly aheadDays: number;
  /** The concert is over: there is nothing to be ahead of or behind any more. */
  readonly over: boolean;
  /** Units a day from now on, to be ready in time; undefined when the days are over. */
  readonly perDay: number | undefined;
}

/** What should stand by heart today, and how many days that is ahead or behind. */
export function memoryStanding(plan: MemoryPlan, stands: number, today: Day): MemoryStanding {
  const ready = addDays(plan.concert, -7 * plan.marginWeeks);
  const days = daysBetween(plan.from, ready);
  const gone = Math.min(days, Math.max(0, daysBetween(plan.from, today)));
  const pace = plan.total / days;
  const left = daysBetween(today, ready);
  // After the last day of learning every day without it is a day more behind.
  const late = stands >= plan.total ? 0 : Math.max(0, -left);
  return {
    ready,
    should: Math.ceil(pace * gone - 1e-9),
    aheadDays: Math.floor(stands / pace - gone + 1e-9) - late,
    over: today > plan.concert,
    perDay: left > 0 ? Math.max(0, plan.total - stands) / left : undefined,
  };
}
