import * as v from "valibot";
import type { AssignmentText } from "~/core/week";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { dayRow, idRow } from "./rows";
import { ITEMS_OF_DRAFT, itemRows, putDraftItems } from "./week-items";

const draftRow = v.pipe(
  v.object({
    id: idRow,
    person_id: idRow,
    from_day: dayRow,
    until_day: dayRow,
    version: v.number(),
    /** Somebody has put it together; else it holds only what was given. */
    begun: v.boolean(),
    word: v.string(),
    shape_id: v.nullable(idRow),
    items: itemRows,
  }),
  v.transform(({ word, shape_id: shape, items, ...row }) => ({
    ...row,
    text: { items, word, shape },
    set_at: null,
  })),
);
/** A week that is being put together. */
export type Draft = v.InferOutput<typeof draftRow>;

export const draftOf = (db: Queries, studioId: string, personId: string) =>
  db.maybeOne(
    draftRow,
    `select id, person_id, from_day, until_day, version, begun, word, shape_id,
       ${ITEMS_OF_DRAFT} as items
     from draft where studio_id = $1 and person_id = $2`,
    [studioId, personId],
  );

/** The weeks that are being put together, by the names of their students. */
export const draftsOfAll = (db: Queries, studioId: string) =>
  db.many(
    v.object({ person_id: idRow, name: v.string(), from_day: dayRow, items: v.number() }),
    `select person_id, name, from_day,
       (select count(*)::integer from draft_item where draft_id = draft.id) as items
     from draft join person on person.id = person_id
     where draft.studio_id = $1 and person.role in ('student', 'teacher')
     order by name, draft.id`,
    [studioId],
  );

interface Written {
  readonly id: string;
  readonly from: Day;
  readonly until: Day;
  readonly text: AssignmentText;
  readonly begun: boolean;
}

export async function insertDraft(
  db: Queries,
  studioId: string,
  { id, personId, from, until, text, begun }: Written & { readonly personId: string },
): Promise<void> {
  await db.execute(
    `insert into draft (id, studio_id, person_id, from_day, until_day, word, shape_id, begun)
     values ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [id, studioId, personId, from, until, text.word, text.shape, begun],
  );
  await putDraftItems(db, studioId, id, text.items);
}

/** Writes a draft over the version that was read; false when somebody has written since. */
export async function saveDraft(
  db: Queries,
  studioId: string,
  { id, version, from, until, text, begun }: Written & { readonly version: number },
): Promise<boolean> {
  const written = await db.execute(
    `update draft set from_day = $4, until_day = $5, word = $6, shape_id = $7,
       begun = $8, version = version + 1
     where studio_id = $1 and id = $2 and version = $3`,
    [studioId, id, version, from, until, text.word, text.shape, begun],
  );
  if (written > 0) await putDraftItems(db, studioId, id, text.items);
  return written > 0;
}

/** The week that is put together begins at a lesson that was moved. */
export const draftBeginsOn = (
  db: Queries,
  studioId: string,
  personId: string,
  { was, day }: { readonly was: Day; readonly day: Day },
) =>
  db.execute(
    `update draft set from_day = $4 where studio_id = $1 and person_id = $2
       and from_day = $3 and until_day > $4`,
    [studioId, personId, was, day],
  );

export const dropDraft = (db: Queries, studioId: string, id: string) =>
  db.execute("delete from draft where studio_id = $1 and id = $2", [studioId, id]);
