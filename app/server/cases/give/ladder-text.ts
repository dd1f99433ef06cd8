import * as v from "valibot";
import { ladderSchema } from "~/core/ladder";

/** A ladder as the workshop sends it: JSON in one field. */
export const ladderTextSchema = v.pipe(
  v.string("The ladder is missing."),
  v.parseJson(undefined, "The ladder can't be read."),
  ladderSchema,
);
