import * as v from "valibot";
import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { idRow } from "./rows";

/** The chances of a studio's students that were reckoned on a day; null: nothing can be told. */
export const outlooksOn = (db: Queries, studioId: string, day: Day) =>
  db.many(
    v.object({ person_id: idRow, chance: v.nullable(v.number()) }),
    "select person_id, chance from outlook where studio_id = $1 and day = $2",
    [studioId, day],
  );

export const putOutlook = (
  db: Queries,
  studioId: string,
  personId: string,
  day: Day,
  chance: number | null,
) =>
  db.execute(
    `insert into outlook (studio_id, person_id, day, chance) values ($1, $2, $3, $4)
     on conflict (person_id) do update set day = excluded.day, chance = excluded.chance`,
    [studioId, personId, day, chance],
  );

/** Drops what was reckoned for a student, or (null) for everyone of a studio. */
export const dropOutlook = (db: Queries, studioId: string, personId: string | null) =>
  db.execute("delete from outlook where studio_id = $1 and ($2::uuid is null or person_id = $2)", [
    studioId,
    personId,
  ]);
