import * as v from "valibot";
import { ladderSchema, type Ladder } from "~/core/ladder";
import { err, ok, sentences, type Result } from "~/core/result";
import type { FormRefused } from "../form";

const jsonText = v.pipe(
  v.string("The ladder is missing."),
  v.parseJson(undefined, "The ladder can't be read."),
);

/** The ladder as the workshop sends it: JSON in one field. */
export function readLadder(form: FormData): Result<Ladder, FormRefused> {
  const read = v.safeParse(v.pipe(jsonText, ladderSchema), form.get("ladder"));
  return read.success ? ok(read.output) : err({ errors: sentences(read.issues), values: {} });
}
