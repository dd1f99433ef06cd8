import * as v from "valibot";
import { err, ok, sentences, type Result } from "~/core/result";
import { NO_VERDICT_CHOICES, type NoVerdict } from "~/core/session";
import type { FormRefused } from "../form";

const MOST_PASSAGES = 40;

const todaySchema = v.object({
  passages: v.pipe(
    v.array(v.pipe(v.string(), v.uuid("A passage can't be read."))),
    v.minLength(1, "Choose at least one passage."),
    v.maxLength(MOST_PASSAGES, `At most ${MOST_PASSAGES} passages in one session.`),
  ),
  noVerdict: v.picklist(NO_VERDICT_CHOICES, "Choose what happens without a verdict."),
});

/** What is to be played today. */
export function readToday(
  form: FormData,
): Result<{ passages: string[]; noVerdict: NoVerdict }, FormRefused> {
  const read = v.safeParse(todaySchema, {
    passages: form.getAll("passage"),
    noVerdict: form.get("noVerdict"),
  });
  if (read.success) return ok(read.output);
  const { passages, ...rest } = sentences(read.issues);
  return err({ errors: { ...rest, ...(passages ? { form: passages } : {}) }, values: {} });
}
