import * as v from "valibot";
import type { Queries } from "~/db/client";

interface Typing {
  readonly studioId: string;
  readonly personId: string;
  readonly teacherId: string;
}

/** What a teacher has typed on a student's lesson and not saved. */
export const typedOf = async (db: Queries, it: Typing): Promise<unknown> =>
  (
    await db.maybeOne(
      v.object({ typed: v.unknown() }),
      `select typed from lesson_typed
       where studio_id = $1 and person_id = $2 and teacher_id = $3`,
      [it.studioId, it.personId, it.teacherId],
    )
  )?.typed;

/** Keeps what is typed, unless something later is there. */
export const putTyped = (db: Queries, it: Typing, typed: { readonly at: number }) =>
  db.execute(
    `insert into lesson_typed (studio_id, person_id, teacher_id, typed)
     values ($1, $2, $3, $4::jsonb)
     on conflict (person_id, teacher_id) do update set typed = excluded.typed
     where lesson_typed.studio_id = excluded.studio_id
       and (lesson_typed.typed ->> 'at')::bigint <= (excluded.typed ->> 'at')::bigint`,
    [it.studioId, it.personId, it.teacherId, JSON.stringify(typed)],
  );

export const dropTyped = (db: Queries, it: Typing) =>
  db.execute(
    "delete from lesson_typed where studio_id = $1 and person_id = $2 and teacher_id = $3",
    [it.studioId, it.personId, it.teacherId],
  );
