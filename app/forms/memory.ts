import * as v from "valibot";
import { memoryPlanSchema } from "~/core/week";
import { typedForm } from "./typed";

/** "1, 5, 9" as bars; what is no number stays none, and is refused. */
const barsTyped = (typed: string): number[] =>
  typed
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map(Number);

/** Learning a piece by heart to a date. Where lines or pages begin says how many there are. */
export const memoryFormSchema = typedForm(
  v.pipe(
    v.looseObject({ begins: v.optional(v.string(), "") }),
    v.transform(({ begins: typed, ...plan }) => {
      const begins = plan.unit === "bars" ? [] : barsTyped(typed);
      return begins.length > 0 ? { ...plan, begins, total: begins.length } : plan;
    }),
    memoryPlanSchema,
  ),
  ["total", "marginWeeks"],
);
