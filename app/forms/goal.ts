import * as v from "valibot";
import { GOAL_SPANS } from "~/core/week";
import { typedForm } from "./typed";

const LONGEST = 200;

export const goalId = v.pipe(v.string(), v.uuid("The goal can't be read."));

/** A goal in words, and the larger one that it serves. */
export const goalFields = {
  span: v.picklist(GOAL_SPANS, "Say for how long."),
  text: v.pipe(
    v.string(),
    v.trim(),
    v.minLength(1, "Write the goal first."),
    v.maxLength(LONGEST, `Keep it under ${LONGEST} characters.`),
  ),
  serves: v.pipe(
    v.optional(v.string(), ""),
    v.transform((given) => (given === "" ? null : given)),
    v.nullable(goalId),
  ),
};

export const goalFormSchema = typedForm(v.object(goalFields));
