import * as v from "valibot";
import type { Queries } from "~/db/client";

const hadRow = v.object({
  pieces: v.number(),
  passages: v.number(),
  sessions: v.number(),
  plays: v.number(),
  weeks: v.number(),
  parents: v.array(v.string()),
});

/** Pieces that lie on this student's stand alone, and that the library does not keep. */
const OWN_PIECES = `
  select piece_id from person_piece mine where studio_id = $1 and person_id = $2
    and not exists (
      select from person_piece other
      where other.piece_id = mine.piece_id and other.person_id <> mine.person_id
    )
    and not exists (select from exercise where exercise.piece_id = mine.piece_id)`;

/** Parents who look on nobody else. */
const OWN_PARENTS = `
  select parent_id from looks_on mine where studio_id = $1 and student_id = $2
    and not exists (
      select from looks_on other
      where other.parent_id = mine.parent_id and other.student_id <> mine.student_id
    )`;

/** What goes when a student is deleted. */
export const belongingsOf = (db: Queries, studioId: string, personId: string) =>
  db.one(
    hadRow,
    `select
       (select count(*) from (${OWN_PIECES}) as own) as pieces,
       (select count(*) from passage where studio_id = $1 and person_id = $2) as passages,
       (select count(*) from session where studio_id = $1 and person_id = $2) as sessions,
       (select count(*) from rep join passage on passage.id = passage_id
        where rep.studio_id = $1 and person_id = $2) as plays,
       (select count(*) from assignment
        where studio_id = $1 and person_id = $2 and set_at is not null) as weeks,
       (select coalesce(jsonb_agg(name order by name), '[]') from person
        where studio_id = $1 and id in (${OWN_PARENTS})) as parents`,
    [studioId, personId],
  );

const OF_SESSIONS = ["session_event", "rep", "passed_tempo", "session_block", "session_outcome"];
const OF_PASSAGES = ["ladder", "passage_day"];
/** What else a student has, each behind what refers to it. */
const OF_PERSON = [
  "session",
  "passage",
  "memory_test",
  "memory_bar",
  "bar_mark",
  "memory_plan",
  "person_piece",
  "item_enough",
  "assignment",
  "practice_by_hand",
  "question",
  "worded_goal",
  "session_shape",
];
const OF_PIECES = ["score", "paper"];

/** Takes everything of a student away, and the student; to be run in a transaction. */
export async function deleteStudent(
  tx: Queries,
  studioId: string,
  personId: string,
): Promise<void> {
  const ids = [studioId, personId];
  const idRow = v.object({ id: v.string() });
  const pieces = await tx.many(idRow, `select piece_id as id from (${OWN_PIECES}) as own`, ids);
  const parents = await tx.many(idRow, `select parent_id as id from (${OWN_PARENTS}) as own`, ids);
  const mine = "studio_id = $1 and person_id = $2";
  for (const table of OF_SESSIONS) {
    await tx.execute(
      `delete from ${table} where session_id in (select id from session where ${mine})`,
      ids,
    );
  }
  for (const table of OF_PASSAGES) {
    await tx.execute(
      `delete from ${table} where passage_id in (select id from passage where ${mine})`,
      ids,
    );
  }
  for (const table of OF_PERSON) await tx.execute(`delete from ${table} where ${mine}`, ids);
  const ownPieces = [studioId, pieces.map(({ id }) => id)];
  for (const table of OF_PIECES) {
    await tx.execute(
      `delete from ${table} where studio_id = $1 and piece_id = any($2::uuid[])`,
      ownPieces,
    );
  }
  await tx.execute("delete from piece where studio_id = $1 and id = any($2::uuid[])", ownPieces);
  await tx.execute("delete from looks_on where studio_id = $1 and student_id = $2", ids);
  const people = [studioId, [personId, ...parents.map(({ id }) => id)]];
  for (const table of ["sign_in", "access"]) {
    await tx.execute(
      `delete from ${table} where studio_id = $1 and person_id = any($2::uuid[])`,
      people,
    );
  }
  await tx.execute("delete from person where studio_id = $1 and id = any($2::uuid[])", people);
}
