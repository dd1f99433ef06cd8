import * as v from "valibot";
import { madeSchema } from "~/core/exercise";
import { tempoSchema } from "~/core/score";
import { typedForm } from "./typed";

const made = v.pipe(
  v.string("There is no exercise in it."),
  v.parseJson(undefined, "The exercise can't be read."),
  madeSchema,
);

/** A new exercise, as its maker sends it. */
export const madeFormSchema = typedForm(
  v.object({
    title: v.pipe(
      v.string(),
      v.trim(),
      v.minLength(1, "Give it a name."),
      v.maxLength(200, "At most 200 letters."),
    ),
    markBpm: tempoSchema,
    made,
  }),
  ["markBpm"],
);

/** What an address asks of an exercise that is being made: its notes for a width. */
export const madeNotationSchema = v.object({
  made,
  width: v.pipe(
    v.string(),
    v.regex(/^\d{3,4}$/, "That is no width."),
    v.transform(Number),
    v.minValue(400, "That is too narrow."),
    v.maxValue(8000, "That is too wide."),
  ),
});
