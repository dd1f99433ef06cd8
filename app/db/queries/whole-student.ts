import * as v from "valibot";
import type { Database, Queries } from "~/db/client";
import { idRow } from "./rows";

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
        where studio_id = $1 and person_id = $2) as weeks,
       (select coalesce(jsonb_agg(name order by name), '[]') from person
        where studio_id = $1 and id in (${OWN_PARENTS})) as parents`,
    [studioId, personId],
  );

/** What is counted and kept of a session, behind what refers to it. */
const OF_SESSIONS = [
  "session_event",
  "rep",
  "rep_measure",
  "passed_tempo",
  "session_block",
  "session_outcome",
];
const OF_PASSAGES = ["ladder", "passage_day"];
/** What others see of a student elsewhere than on the student's own pages. */
const SEEN_ELSEWHERE = ["take", "question", "group_member", "group_landed"];
/** What else a student has, each behind what refers to it. */
const OF_PERSON = [
  "memory_test",
  "memory_bar",
  "bar_mark",
  "memory_plan",
  "person_piece",
  "item_enough",
  "item_day",
  "draft",
  "assignment",
  "practice_by_hand",
  "item",
  "worded_goal",
  "session_shape",
];
const OF_PIECES = ["score", "paper"];
const MINE = "studio_id = $1 and person_id = $2";
const idsRow = v.object({ id: idRow });

/**
 * From here on nobody finds a student, nor comes in as one or as their parents. Short; what the
 * student has goes by `takeAway`. To be run in a transaction.
 */
export async function letGo(tx: Queries, studioId: string, personId: string): Promise<void> {
  const ids = [studioId, personId];
  const parents = await tx.many(idsRow, `select parent_id as id from (${OWN_PARENTS}) as own`, ids);
  await tx.execute("delete from looks_on where studio_id = $1 and student_id = $2", ids);
  for (const table of SEEN_ELSEWHERE) await tx.execute(`delete from ${table} where ${MINE}`, ids);
  const shut = [studioId, parents.map(({ id }) => id)];
  const people = [studioId, [personId, ...parents.map(({ id }) => id)]];
  for (const table of ["sign_in", "access"]) {
    await tx.execute(
      `delete from ${table} where studio_id = $1 and person_id = any($2::uuid[])`,
      people,
    );
  }
  await tx.execute("delete from person where studio_id = $1 and id = any($2::uuid[])", shut);
  await tx.execute(
    "update person set role = 'leaving', plays = false where studio_id = $1 and id = $2",
    ids,
  );
}

/** Those whom nobody finds any more and who still have something, in every studio. */
export const leaving = (db: Queries) =>
  db.many(
    v.object({ studio_id: idRow, id: idRow }),
    "select studio_id, id from person where role = 'leaving' order by id",
  );

/** So many of a student's sessions, or passages, are taken away at once. */
const AT_ONCE = 5;

/** Takes away everything of one who was let go, and the person, in short transactions. */
export async function takeAway(db: Database, studioId: string, personId: string): Promise<void> {
  const ids = [studioId, personId];
  const clear = (tables: readonly string[], by: string, of: string) =>
    db.transaction(async (tx) => {
      const some = await tx.many(
        idsRow,
        `select id from ${of} where ${MINE} limit ${AT_ONCE}`,
        ids,
      );
      const these = [studioId, some.map(({ id }) => id)];
      for (const table of tables) {
        await tx.execute(
          `delete from ${table} where studio_id = $1 and ${by} = any($2::uuid[])`,
          these,
        );
      }
      await tx.execute(`delete from ${of} where studio_id = $1 and id = any($2::uuid[])`, these);
      return some.length;
    });
  while ((await clear(OF_SESSIONS, "session_id", "session")) > 0);
  while ((await clear(OF_PASSAGES, "passage_id", "passage")) > 0);
  await db.transaction(async (tx) => {
    const pieces = await tx.many(idsRow, `select piece_id as id from (${OWN_PIECES}) as own`, ids);
    for (const table of OF_PERSON) await tx.execute(`delete from ${table} where ${MINE}`, ids);
    const ownPieces = [studioId, pieces.map(({ id }) => id)];
    for (const table of OF_PIECES) {
      await tx.execute(
        `delete from ${table} where studio_id = $1 and piece_id = any($2::uuid[])`,
        ownPieces,
      );
    }
    await tx.execute("delete from piece where studio_id = $1 and id = any($2::uuid[])", ownPieces);
    await tx.execute("delete from person where studio_id = $1 and id = $2", ids);
  });
}
