import * as v from "valibot";
import { DECISIONS } from "~/core/week";

/**
 * A lesson as it is being typed: items may lack anything yet, a day may be half written. It is read
 * only so far that the page can show it again; saving it reads it by the form's own schema.
 */
export const typedLessonSchema = v.object({
  /** When it was typed, by the device's clock, in milliseconds since 1970. */
  at: v.pipe(v.number(), v.integer()),
  values: v.object({
    from: v.pipe(v.string(), v.maxLength(20)),
    until: v.pipe(v.string(), v.maxLength(20)),
    text: v.looseObject({
      items: v.pipe(v.array(v.looseObject({ id: v.pipe(v.string(), v.uuid()) })), v.maxLength(100)),
      word: v.string(),
    }),
  }),
  decisions: v.record(v.string(), v.picklist(DECISIONS)),
  /** What was there when it was begun. */
  read: v.object({ version: v.number(), after: v.nullable(v.string()) }),
});
export type TypedLesson = v.InferOutput<typeof typedLessonSchema>;

export const LONGEST_TYPED = 200_000;
