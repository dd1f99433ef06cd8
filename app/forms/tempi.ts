import * as v from "valibot";
import { tempiSchema } from "~/core/score";

/** The tempi of a piece as its page sends them: JSON in one field. */
export const tempiTextSchema = v.pipe(
  v.string("There are no tempi in it."),
  v.parseJson(undefined, "The tempi can't be read."),
  tempiSchema,
);
