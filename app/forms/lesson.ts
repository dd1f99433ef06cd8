import * as v from "valibot";
import { assignmentSchema } from "~/core/week";

const day = v.pipe(v.string(), v.isoDate("Give the day of the lesson."));

/** A lesson's two days and what is asked between them. */
export const lessonFields = { from: day, until: day } as const;

export const lessonSchema = v.pipe(
  v.object({ ...lessonFields, text: assignmentSchema }),
  v.forward(
    v.check(({ from, until }) => until > from, "The next lesson comes after this one."),
    ["until"],
  ),
);
export type LessonForm = v.InferOutput<typeof lessonSchema>;
