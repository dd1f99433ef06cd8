import * as v from "valibot";
import { dropTyped, putTyped, studentById, typedOf } from "~/db/queries";
import { typedLessonSchema, type TypedLesson } from "~/forms/typed-lesson";
import type { Services } from "../../services";

interface Typing {
  readonly studioId: string;
  readonly personId: string;
  readonly teacherId: string;
}

/** What a teacher has typed on a lesson and not saved, as far as it can be shown again. */
export async function typedLesson(
  { db }: Pick<Services, "db">,
  it: Typing,
): Promise<TypedLesson | undefined> {
  const read = v.safeParse(typedLessonSchema, await typedOf(db, it));
  return read.success ? read.output : undefined;
}

/** Keeps what is being typed at a pause. */
export const keepTyped = ({ db }: Services, it: Typing, typed: TypedLesson) =>
  db.transaction(async (tx) => {
    await studentById(tx, it.studioId, it.personId);
    await putTyped(tx, it, typed);
  });

/** It was saved, or is not wanted any more. */
export const forgetTyped = ({ db }: Services, it: Typing) => dropTyped(db, it);
