import { memoryPlanSchema } from "~/core/week";
import { typedForm } from "./typed";

/** Learning a piece by heart to a date. */
export const memoryFormSchema = typedForm(memoryPlanSchema, ["total", "marginWeeks"]);
