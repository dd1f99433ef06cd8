import * as v from "valibot";
import { nameSchema } from "./names";
import { typedForm } from "./typed";

/** The day that everything is prepared for. */
export const concertFormSchema = typedForm(
  v.object({
    name: nameSchema("the concert a name"),
    day: v.pipe(v.string(), v.isoDate("Choose a day.")),
  }),
);
