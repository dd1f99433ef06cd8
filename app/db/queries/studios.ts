import type { Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { studioRow, type Studio } from "./rows";

const COLUMNS = "id, name, time_zone, concert_name, concert_on, demo";

export const allStudios = (db: Queries) =>
  db.many(studioRow, `select ${COLUMNS} from studio order by created_at`);

export const studioById = (db: Queries, id: string) =>
  db.one(studioRow, `select ${COLUMNS} from studio where id = $1`, [id]);

export const insertStudio = (db: Queries, studio: Studio) =>
  db.execute(`insert into studio (${COLUMNS}) values ($1, $2, $3, $4, $5, $6)`, [
    studio.id,
    studio.name,
    studio.time_zone,
    studio.concert_name,
    studio.concert_on,
    studio.demo,
  ]);

export const setStudioConcert = (db: Queries, id: string, name: string, day: Day) =>
  db.execute("update studio set concert_name = $2, concert_on = $3 where id = $1", [id, name, day]);
