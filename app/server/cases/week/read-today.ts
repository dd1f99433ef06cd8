import * as v from "valibot";
import { err, ok, sentences, type Result } from "~/core/result";
import { BLOCK_KINDS, FEELINGS, NO_VERDICT_CHOICES, SESSION_MINUTES } from "~/core/session";
import type { FormRefused } from "~/forms/typed";

const MOST_PARTS = 60;
const LONGEST_TEXT = 200;

const partSchema = v.object({
  kind: v.picklist(BLOCK_KINDS),
  minutes: v.pipe(
    v.number("Minutes are a number."),
    v.integer("Whole minutes."),
    v.minValue(1, "At least 1 minute."),
    v.maxValue(SESSION_MINUTES.longest, `At most ${SESSION_MINUTES.longest} minutes.`),
  ),
  text: v.optional(v.pipe(v.string(), v.maxLength(LONGEST_TEXT)), ""),
  passageId: v.optional(v.nullable(v.pipe(v.string(), v.uuid("A passage can't be read."))), null),
  itemId: v.optional(v.nullable(v.pipe(v.string(), v.uuid("An item can't be read."))), null),
});
/** A part of a session as it was chosen: a passage, or a task. */
export type ChosenPart = v.InferOutput<typeof partSchema>;

const todaySchema = v.object({
  parts: v.pipe(
    v.string("Choose at least one thing to do."),
    v.parseJson(undefined, "The session can't be read."),
    v.array(partSchema, "The session can't be read."),
    v.minLength(1, "Choose at least one thing to do."),
    v.maxLength(MOST_PARTS, `At most ${MOST_PARTS} parts in one session.`),
    v.check(
      (parts) => parts.reduce((sum, { minutes }) => sum + minutes, 0) <= SESSION_MINUTES.longest,
      "A session is four hours long at most.",
    ),
  ),
  /** Unsaid, it stays as it was. */
  noVerdict: v.optional(v.picklist(NO_VERDICT_CHOICES, "Choose what happens without a verdict.")),
  /** What the player said of hands, breath and mood; unsaid where it wasn't asked. */
  feeling: v.optional(v.picklist(FEELINGS, "Say how hands, breath and mood are.")),
});
export type ReadToday = v.InferOutput<typeof todaySchema>;

/** What is to be played today. */
export function readToday(form: FormData): Result<ReadToday, FormRefused> {
  const read = v.safeParse(todaySchema, {
    parts: form.get("parts") ?? undefined,
    noVerdict: form.get("noVerdict") ?? undefined,
    feeling: form.get("feeling") ?? undefined,
  });
  if (read.success) return ok(read.output);
  const { noVerdict, ...rest } = sentences(read.issues);
  const first = Object.values(rest)[0];
  const errors = { ...(noVerdict ? { noVerdict } : {}), ...(first ? { form: first } : {}) };
  return err({ errors, values: {} });
}
