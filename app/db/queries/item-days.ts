import * as v from "valibot";
import { REASONS, type KeptItem } from "~/core/week";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { dayRow, idRow } from "./rows";
import type { Whose } from "./practised";

const askedRow = v.object({
  person_id: idRow,
  item_id: idRow,
  day: dayRow,
  minutes: v.number(),
  why: v.nullable(v.picklist(REASONS)),
});

/** What days have asked that are over, as far as somebody has looked since. */
export const askedByDay = (db: Queries, studioId: string, whose: Whose, from: Day, to: Day) =>
  db.many(
    askedRow,
    `select person_id, item_id, day, minutes, why from item_day
     where studio_id = $1 and ($2::uuid is null or person_id = $2) and day between $3 and $4
     order by day, item_id`,
    [studioId, whose, from, to],
  );

/** Keeps what days that are over have asked; what is kept already stands. */
export const keepAsked = (
  db: Queries,
  studioId: string,
  personId: string,
  rows: readonly (KeptItem & { readonly day: Day })[],
) =>
  db.execute(
    `insert into item_day (studio_id, person_id, item_id, day, minutes, why)
     select $1, $2, "itemId", day, minutes, why
     from jsonb_to_recordset($3::jsonb)
       as kept ("itemId" uuid, day date, minutes integer, why text)
     on conflict do nothing`,
    [studioId, personId, JSON.stringify(rows)],
  );

/** Days that are not over any more, since the clock was set back: they will be asked anew. */
export const dropAskedFrom = (db: Queries, studioId: string, personId: string, today: Day) =>
  db.execute("delete from item_day where studio_id = $1 and person_id = $2 and day >= $3", [
    studioId,
    personId,
    today,
  ]);
