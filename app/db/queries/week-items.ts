import * as v from "valibot";
import { itemSchema, type AssignmentItem, type ItemChanges } from "~/core/week";
import { DatabaseError, type Queries } from "~/db/client";

/** What is said of an item: each column, and where it stands in the item. */
const SAID = {
  kind: "kind",
  passage_id: '"passageId"',
  title: "title",
  focus: "focus",
  focuses: "focuses",
  often: "often ->> 'kind'",
  times: "(often ->> 'times')::integer",
  minutes: "minutes",
  goal_tempo: '"goalTempo"',
  note: "note",
  bring: "bring",
  record_run: '"recordRun"',
  kept_ladder_id: '"keptLadderId"',
  keys: "keys",
  due: "due",
  origin: "origin",
  decision: "decision",
};
const COLUMNS = Object.keys(SAID).join(", ");
const VALUES = Object.values(SAID).join(", ");
const AS_SAID = Object.keys(SAID)
  .map((column) => `${column} = excluded.${column}`)
  .join(", ");

/** Items as they are handed to a statement. */
const SENT = `jsonb_to_recordset($3::jsonb) as sent (id uuid, given jsonb, since date, until date,
  place integer, kind text, "passageId" uuid, title text, focus text, focuses jsonb, often jsonb,
  minutes integer, "goalTempo" double precision, note text, bring text, "recordRun" integer,
  "keptLadderId" uuid, keys jsonb, due date, origin text, decision text)`;

const asItem = (table: string, rest: string) => `json_build_object(
  'id', ${table}.item_id, 'kind', kind, 'passageId', passage_id, 'title', title, 'focus', focus,
  'focuses', focuses, 'often', json_strip_nulls(json_build_object('kind', often, 'times', times)),
  'minutes', minutes, 'goalTempo', goal_tempo, 'note', note, 'bring', bring,
  'recordRun', record_run, 'keptLadderId', kept_ladder_id, 'keys', keys, 'due', due,
  'origin', origin, 'decision', decision, ${rest})`;

const givenFrom = (column: string) =>
  `'given', case when ${column} is not null then json_build_object('item', ${column}) end`;

/** What a week has said of its items, in their order; of one and the same in the order of days. */
export const ITEMS_OF_WEEK = `coalesce((
  select json_agg(${asItem(
    "week_item",
    `${givenFrom("given_from")}, 'until', until_day,
     'since', nullif(week_item.from_day, assignment.from_day)`,
  )} order by position, week_item.from_day)
  from week_item join item on item.id = item_id where assignment_id = assignment.id), '[]')`;

export const ITEMS_OF_DRAFT = `coalesce((
  select json_agg(${asItem("draft_item", givenFrom("given_from"))} order by position)
  from draft_item where draft_id = draft.id), '[]')`;

export const itemRows = v.array(itemSchema);

const placed = (items: readonly AssignmentItem[]) =>
  JSON.stringify(items.map((item, place) => ({ ...item, place })));

/** Writes what changes in the items of a week: see `itemChanges`. */
export async function changeItems(
  db: Queries,
  studioId: string,
  { id: weekId, personId }: { readonly id: string; readonly personId: string },
  { written, dropped }: ItemChanges,
): Promise<void> {
  if (dropped.length > 0) {
    await db.execute(
      `delete from week_item using jsonb_to_recordset($3::jsonb) as sent (id uuid, since date)
       where studio_id = $1 and assignment_id = $2 and item_id = id and from_day = since`,
      [studioId, weekId, JSON.stringify(dropped)],
    );
  }
  if (written.length === 0) return;
  const rows = JSON.stringify(written);
  const theirs = await db.execute(
    `insert into item (studio_id, person_id, id, given_from)
     select distinct on (id) $1::uuid, $2::uuid, id, (given ->> 'item')::uuid from ${SENT}
     on conflict (id) do update set given_from = item.given_from
     where item.studio_id = excluded.studio_id and item.person_id = excluded.person_id`,
    [studioId, personId, rows],
  );
  if (theirs < new Set(written.map(({ id }) => id)).size) {
    throw new DatabaseError("foreign-key", "An item is another student's.");
  }
  await db.execute(
    `insert into week_item (studio_id, assignment_id, item_id, from_day, until_day, position,
       ${COLUMNS})
     select $1, $2, id, since, until, place, ${VALUES} from ${SENT}
     on conflict (assignment_id, item_id, from_day) do update
     set until_day = excluded.until_day, position = excluded.position, ${AS_SAID}`,
    [studioId, weekId, rows],
  );
}

/** The items of a week that is being put together, as they are now. */
export async function putDraftItems(
  db: Queries,
  studioId: string,
  draftId: string,
  items: readonly AssignmentItem[],
): Promise<void> {
  await db.execute(
    `delete from draft_item where studio_id = $1 and draft_id = $2 and item_id <> all($3::uuid[])`,
    [studioId, draftId, items.map(({ id }) => id)],
  );
  await db.execute(
    `insert into draft_item (studio_id, draft_id, item_id, given_from, position, ${COLUMNS})
     select $1, $2, id, (given ->> 'item')::uuid, place, ${VALUES} from ${SENT}
     on conflict (draft_id, item_id) do update
     set position = excluded.position, given_from = excluded.given_from, ${AS_SAID}`,
    [studioId, draftId, placed(items)],
  );
}
