import * as v from "valibot";
import {
  itemChanges,
  itemsNow,
  STALE_DAYS,
  type AssignmentItem,
  type AssignmentText,
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
