import * as v from "valibot";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { dayRow, idRow } from "./rows";

const row = v.object({
  passage_id: idRow,
  day: dayRow,
  rule: v.string(),
  /** What of a ladder was changed, as it was sent: read by whoever applies it. */
  change: v.unknown(),
});
export type TodayChange = v.InferOutput<typeof row>;

/** What a student changed for a day, since one, the latest first. */
export const todayChanges = (db: Queries, studioId: string, personId: string, since: Day) =>
  db.many(
    row,
    `select passage_id, day, rule, change from today_change
     where studio_id = $1 and person_id = $2 and day >= $3 order by day desc, at desc`,
    [studioId, personId, since],
  );

/** Changes a passage for a day; what the same rule changed of it before on that day is replaced. */
export const changeToday = (
  db: Queries,
  studioId: string,
  personId: string,
  {
    passageId,
    day,
    rule,
    change,
    at,
  }: Omit<TodayChange, "passage_id"> & {
    readonly passageId: string;
    readonly at: Date;
  },
) =>
  db.execute(
    `insert into today_change (studio_id, person_id, passage_id, day, rule, change, at)
     values ($1, $2, $3, $4, $5, $6::jsonb, $7)
     on conflict (passage_id, day, rule) do update
       set change = excluded.change, at = excluded.at`,
    [studioId, personId, passageId, day, rule, JSON.stringify(change), at],
  );

export const takeBackToday = (
  db: Queries,
  studioId: string,
  personId: string,
  { passageId, day, rule }: Pick<TodayChange, "day" | "rule"> & { readonly passageId: string },
) =>
  db.execute(
    `delete from today_change
     where studio_id = $1 and person_id = $2 and passage_id = $3 and day = $4 and rule = $5`,
    [studioId, personId, passageId, day, rule],
  );
