import * as v from "valibot";
import type { Day } from "~/core/units";
import { ratingScaleSchema, type RatingScale } from "~/core/week";
import type { Queries } from "~/db/client";
import { idRow, studioRow, type Studio } from "./rows";

const COLUMNS = "id, name, time_zone, concert_name, concert_on, demo";

export const allStudios = (db: Queries) =>
  db.many(studioRow, `select ${COLUMNS} from studio order by created_at`);

export const studioById = (db: Queries, id: string) =>
  db.one(studioRow, `select ${COLUMNS} from studio where id = $1`, [id]);

export const insertStudio = (db: Queries, studio: Studio, countedBy: number) =>
  db.execute(`insert into studio (${COLUMNS}, counted_by) values ($1, $2, $3, $4, $5, $6, $7)`, [
    studio.id,
    studio.name,
    studio.time_zone,
    studio.concert_name,
    studio.concert_on,
    studio.demo,
    countedBy,
  ]);

/** Studios whose projections an older version of the counting has made. */
export const studiosCountedBefore = (db: Queries, version: number) =>
  db.many(
    v.object({ id: idRow, name: v.string() }),
    // What is being read into a room is counted when it is all there.
    `select id, name from studio where counted_by < $1 and shut is distinct from 'filling'
     order by created_at`,
    [version],
  );

export const setCountedBy = (db: Queries, id: string, version: number) =>
  db.execute("update studio set counted_by = $2 where id = $1", [id, version]);

export const setStudioConcert = (db: Queries, id: string, name: string, day: Day) =>
  db.execute("update studio set concert_name = $2, concert_on = $3 where id = $1", [id, name, day]);

/** How a room rates what is handed in. */
export const ratingScaleOf = async (db: Queries, studioId: string): Promise<RatingScale> =>
  (
    await db.one(
      v.object({ rating_scale: ratingScaleSchema }),
      "select rating_scale from studio where id = $1",
      [studioId],
    )
  ).rating_scale;

export const setRatingScale = (db: Queries, studioId: string, scale: RatingScale) =>
  db.execute("update studio set rating_scale = $2::jsonb where id = $1", [
    studioId,
    JSON.stringify(scale),
  ]);
