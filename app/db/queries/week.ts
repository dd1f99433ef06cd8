import * as v from "valibot";
import { BLOCK_KINDS, FEELINGS, shapeSchema, type Shape } from "~/core/session";
import {
  itemChanges,
  itemsNow,
  memoryPlanSchema,
  STALE_DAYS,
  type AssignmentItem,
  type AssignmentText,
  type MemoryPlan,
} from "~/core/week";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { dayRow, idRow, momentRow } from "./rows";
import { changeItems, ITEMS_OF_WEEK, itemRows } from "./week-items";

const assignmentRow = v.pipe(
  v.object({
    id: idRow,
    person_id: idRow,
    from_day: dayRow,
    until_day: dayRow,
    version: v.number(),
    word: v.string(),
    shape_id: v.nullable(idRow),
    set_at: momentRow,
    changed_on: v.nullable(dayRow),
    items: itemRows,
  }),
  v.transform(({ word, shape_id: shape, items: all, ...row }) => {
    const { items, earlier } = itemsNow(all);
    return { ...row, text: { items, word, shape }, earlier };
  }),
);
/** A week that was set, with what it says now, and what it said of its items before. */
export type Assignment = v.InferOutput<typeof assignmentRow>;

const ASSIGNMENT = `id, person_id, from_day, until_day, version, word, shape_id, set_at, changed_on,
  ${ITEMS_OF_WEEK} as items`;

/** Weeks that were set, newest first. */
export const assignmentsOf = (db: Queries, studioId: string, personId: string, limit: number) =>
  db.many(
    assignmentRow,
    `select ${ASSIGNMENT} from assignment
     where studio_id = $1 and person_id = $2
     order by from_day desc, set_at desc limit $3`,
    [studioId, personId, limit],
  );

/** Weeks that were set and have asked for something between two days, or have gone on until then; the oldest first. */
export const weeksBetween = (
  db: Queries,
  studioId: string,
  personId: string,
  { from, to }: { readonly from: Day; readonly to: Day },
) =>
  db.many(
    assignmentRow,
    `select ${ASSIGNMENT} from assignment
     where studio_id = $1 and person_id = $2
       and from_day <= $4 and until_day >= $3::date - $5::integer
     order by from_day, set_at`,
    [studioId, personId, from, to, STALE_DAYS],
  );

export const assignmentById = (db: Queries, studioId: string, id: string) =>
  db.one(assignmentRow, `select ${ASSIGNMENT} from assignment where studio_id = $1 and id = $2`, [
    studioId,
    id,
  ]);

export async function insertWeek(
  db: Queries,
  studioId: string,
  { id, personId, from, until, text, at }: NewWeek,
): Promise<void> {
  await db.execute(
    `insert into assignment (id, studio_id, person_id, from_day, until_day, word, shape_id, set_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [id, studioId, personId, from, until, text.word, text.shape, at],
  );
  const changes = itemChanges({ from, items: [] }, text.items, from);
  await changeItems(db, studioId, { id, personId }, changes);
}

interface NewWeek {
  readonly id: string;
  readonly personId: string;
  readonly from: Day;
  readonly until: Day;
  readonly text: AssignmentText;
  readonly at: Date;
}

/** A week lasts until another day than it was set for. */
export const lastsUntil = (db: Queries, studioId: string, id: string, until: Day) =>
  db.execute("update assignment set until_day = $3 where studio_id = $1 and id = $2", [
    studioId,
    id,
    until,
  ]);

/** A week that has not begun begins on another day. */
export async function beginsOn(
  db: Queries,
  studioId: string,
  { id, from, day }: { readonly id: string; readonly from: Day; readonly day: Day },
): Promise<void> {
  await db.execute(
    `update assignment set from_day = $3, version = version + 1
     where studio_id = $1 and id = $2`,
    [studioId, id, day],
  );
  await db.execute(
    `update week_item set from_day = $3
     where studio_id = $1 and assignment_id = $2 and from_day = $4`,
    [studioId, id, day, from],
  );
}

/** What a week that was set asks from today on, and until when. */
export async function writeWeek(
  db: Queries,
  studioId: string,
  { id, person_id: personId, from_day: from, earlier, text }: Assignment,
  to: { readonly until: Day; readonly items: readonly AssignmentItem[] },
  today: Day,
): Promise<void> {
  await db.execute(
    "update assignment set until_day = $3, version = version + 1 where studio_id = $1 and id = $2",
    [studioId, id, to.until],
  );
  const changes = itemChanges({ from, items: [...earlier, ...text.items] }, to.items, today);
  await changeItems(db, studioId, { id, personId }, changes);
}

/** The student is to be told that a week was changed from a day on. */
export const tellOfChange = (db: Queries, studioId: string, id: string, day: Day) =>
  db.execute(
    `update assignment set changed_on = least(changed_on, $3::date)
     where studio_id = $1 and id = $2`,
    [studioId, id, day],
  );

/** The student has seen what was changed. */
export const changeSeen = (db: Queries, studioId: string, personId: string) =>
  db.execute("update assignment set changed_on = null where studio_id = $1 and person_id = $2", [
    studioId,
    personId,
  ]);

/** Another week takes the place of one that was set and has not begun before today. */
export async function replaceWeek(
  db: Queries,
  studioId: string,
  { id, personId, from, until, text, at }: NewWeek,
): Promise<void> {
  await db.execute(
    `update assignment set from_day = $3, until_day = $4, word = $5, shape_id = $6, set_at = $7,
       version = version + 1 where studio_id = $1 and id = $2`,
    [studioId, id, from, until, text.word, text.shape, at],
  );
  await db.execute("delete from week_item where studio_id = $1 and assignment_id = $2", [
    studioId,
    id,
  ]);
  const changes = itemChanges({ from, items: [] }, text.items, from);
  await changeItems(db, studioId, { id, personId }, changes);
}

/** The week that each student goes by; else the one that begins next, or the one that was last. */
export const weeksOfAll = (db: Queries, studioId: string, today: Day) =>
  db.many(
    assignmentRow,
    `select distinct on (person_id) ${ASSIGNMENT} from assignment
     where studio_id = $1
     order by person_id, from_day > $2::date or until_day < $2::date - $3::integer,
       abs(from_day - $2::date), set_at desc`,
    [studioId, today, STALE_DAYS],
  );

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

const shapeRow = v.object({
  id: idRow,
  name: v.string(),
  shape: shapeSchema,
  /** Everyone in the room can use it. */
  shared: v.boolean(),
});

/** A student's own, and those that are everyone's. */
export const shapesOf = (db: Queries, studioId: string, personId: string) =>
  db.many(
    shapeRow,
    `select id, name, shape, shared from session_shape
     where studio_id = $1 and (person_id = $2 or shared) order by name collate "und-x-icu"`,
    [studioId, personId],
  );

export const keepShape = (
  db: Queries,
  studioId: string,
  personId: string,
  kept: { id: string; name: string; shape: Shape; shared: boolean; at: Date },
) =>
  db.execute(
    `insert into session_shape (id, studio_id, person_id, name, shape, shared, kept_at)
     values ($1, $2, $3, $4, $5::jsonb, $6, $7)
     on conflict (person_id, name) do update set shape = excluded.shape, shared = excluded.shared,
       kept_at = excluded.kept_at`,
    [kept.id, studioId, personId, kept.name, JSON.stringify(kept.shape), kept.shared, kept.at],
  );

export const dropShape = (db: Queries, studioId: string, personId: string, id: string) =>
  db.execute("delete from session_shape where studio_id = $1 and person_id = $2 and id = $3", [
    studioId,
    personId,
    id,
  ]);

const memoryRow = v.object({
  piece_id: idRow,
  title: v.string(),
  plan: memoryPlanSchema,
  stands: v.number(),
  stands_on: dayRow,
  /** It is told bar by bar which stand. */
  by_bars: v.boolean(),
});

const BY_BARS = `exists (select from memory_bar
  where memory_bar.person_id = memory_plan.person_id and memory_bar.piece_id = memory_plan.piece_id
) as by_bars`;

export const memoryOf = (db: Queries, studioId: string, personId: string) =>
  db.many(
    memoryRow,
    `select memory_plan.piece_id, title, plan, stands, stands_on, ${BY_BARS}
     from memory_plan join piece on piece.id = piece_id
     where memory_plan.studio_id = $1 and person_id = $2 order by title`,
    [studioId, personId],
  );

export const memoryOfAll = (db: Queries, studioId: string) =>
  db.many(
    v.object({ person_id: idRow, ...memoryRow.entries }),
    `select person_id, memory_plan.piece_id, title, plan, stands, stands_on, ${BY_BARS}
     from memory_plan join piece on piece.id = piece_id where memory_plan.studio_id = $1`,
    [studioId],
  );

export const putMemory = (
  db: Queries,
  studioId: string,
  personId: string,
  memory: { pieceId: string; plan: MemoryPlan; day: Day },
) =>
  db.execute(
    `insert into memory_plan (studio_id, person_id, piece_id, plan, stands_on)
     values ($1, $2, $3, $4::jsonb, $5)
     on conflict (person_id, piece_id) do update set plan = excluded.plan`,
    [studioId, personId, memory.pieceId, JSON.stringify(memory.plan), memory.day],
  );

export const markMemory = (
  db: Queries,
  studioId: string,
  personId: string,
  mark: { pieceId: string; stands: number; day: Day },
) =>
  db.execute(
    `update memory_plan set stands = $4, stands_on = $5
     where studio_id = $1 and person_id = $2 and piece_id = $3`,
    [studioId, personId, mark.pieceId, mark.stands, mark.day],
  );
