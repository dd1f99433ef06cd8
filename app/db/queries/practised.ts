import * as v from "valibot";
import { BLOCK_KINDS, FEELINGS } from "~/core/session";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { dayRow, idRow } from "./rows";

/** One student, or everyone of the studio. */
export type Whose = string | null;

const playedRow = v.object({
  person_id: idRow,
  passage_id: idRow,
  day: dayRow,
  minutes: v.number(),
  plays: v.number(),
  clean: v.number(),
  first_tempo: v.number(),
  end_tempo: v.number(),
  reached: v.nullable(v.number()),
});
export type PlayedDay = v.InferOutput<typeof playedRow>;

/** Passages by the days on which they were played, oldest first; of a day always in one order, so that sums agree. */
export const playedByDay = (db: Queries, studioId: string, whose: Whose, from: Day, to: Day) =>
  db.many(
    playedRow,
    `select person_id, passage_id, day, sum(active_seconds) / 60 as minutes, sum(plays)::integer as plays,
       sum(clean)::integer as clean, (array_agg(start_tempo order by position))[1] as first_tempo,
       (array_agg(end_tempo order by position desc))[1] as end_tempo,
       max(reached_tempo) filter (where part is null) as reached
     from session_block
     where studio_id = $1 and ($2::uuid is null or person_id = $2) and day between $3 and $4
     group by person_id, passage_id, day order by day, minutes`,
    [studioId, whose, from, to],
  );

const taskRow = v.object({
  kind: v.picklist(BLOCK_KINDS),
  itemId: v.optional(v.nullable(idRow)),
  seconds: v.number(),
});

/**
 * What else the sessions of some days held; of everyone only those in which something was done
 * besides passages, or hurt: that is all that a week is laid out by.
 */
export const sessionsBetween = (db: Queries, studioId: string, whose: Whose, from: Day, to: Day) =>
  db.many(
    v.object({
      session_id: idRow,
      person_id: idRow,
      day: dayRow,
      notes: v.array(v.string()),
      questions: v.array(v.string()),
      ratings: v.record(v.string(), v.string()),
      feeling: v.nullable(v.picklist(FEELINGS)),
      ended: v.nullable(v.string()),
      tasks: v.array(taskRow),
      passages: v.array(idRow),
    }),
    `select o.session_id, o.person_id, o.day, notes, questions, ratings, feeling, ended, tasks,
       coalesce((select jsonb_agg(passage_id) from session_block b
         where b.session_id = o.session_id), '[]'::jsonb) as passages
     from session_outcome o
     where studio_id = $1 and day between $3 and $4
       and (person_id = $2 or ($2::uuid is null and (tasks <> '[]' or ended = 'pain')))
     order by started_at`,
    [studioId, whose, from, to],
  );

const byHandRow = v.object({
  id: idRow,
  person_id: idRow,
  day: dayRow,
  minutes: v.number(),
  item_id: v.nullable(idRow),
  note: v.string(),
});
export type ByHand = v.InferOutput<typeof byHandRow>;

export const practiceByHand = (db: Queries, studioId: string, whose: Whose, from: Day, to: Day) =>
  db.many(
    byHandRow,
    `select id, person_id, day, minutes, item_id, note from practice_by_hand
     where studio_id = $1 and ($2::uuid is null or person_id = $2) and day between $3 and $4
     order by day, minutes`,
    [studioId, whose, from, to],
  );

/** The id is made on the client: sent twice, it is one entry; told again with more minutes, it grows. */
export const insertByHand = (
  db: Queries,
  studioId: string,
  personId: string,
  entry: Omit<ByHand, "person_id">,
) =>
  db.execute(
    `insert into practice_by_hand (id, studio_id, person_id, day, minutes, item_id, note)
     values ($1, $2, $3, $4, $5, $6, $7)
     on conflict (id) do update set minutes = greatest(practice_by_hand.minutes, excluded.minutes)
     where practice_by_hand.studio_id = $2 and practice_by_hand.person_id = $3`,
    [entry.id, studioId, personId, entry.day, entry.minutes, entry.item_id, entry.note],
  );

export const dropByHand = (db: Queries, studioId: string, personId: string, id: string) =>
  db.execute("delete from practice_by_hand where studio_id = $1 and person_id = $2 and id = $3", [
    studioId,
    personId,
    id,
  ]);

const enoughRow = v.object({ person_id: idRow, item_id: idRow, day: dayRow });

/** Items of which the player said that it was enough for the day. */
export const enoughOf = (db: Queries, studioId: string, whose: Whose, from: Day, to: Day) =>
  db.many(
    enoughRow,
    `select person_id, item_id, day from item_enough
     where studio_id = $1 and ($2::uuid is null or person_id = $2) and day between $3 and $4`,
    [studioId, whose, from, to],
  );

/** Said twice, it is said once. */
export const sayEnough = (
  db: Queries,
  studioId: string,
  personId: string,
  itemId: string,
  day: Day,
) =>
  db.execute(
    `insert into item_enough (studio_id, person_id, item_id, day) values ($1, $2, $3, $4)
     on conflict do nothing`,
    [studioId, personId, itemId, day],
  );

export const takeBackEnough = (
  db: Queries,
  studioId: string,
  personId: string,
  itemId: string,
  day: Day,
) =>
  db.execute(
    "delete from item_enough where studio_id = $1 and person_id = $2 and item_id = $3 and day = $4",
    [studioId, personId, itemId, day],
  );
