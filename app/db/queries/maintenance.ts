import * as v from "valibot";
import type { Queries } from "~/db/client";
import { ROOM_TABLE_NAMES } from "./room-tables";

/**
 * Writes what has changed to its place, so that a start after a crash has little to do again and the
 * log of changes does not grow for ever; PGlite does so only when it is closed.
 */
export const checkpoint = (db: Queries) => db.execute("checkpoint");

/** Where the log of changes ends: the same as before where nothing was written. */
export const writtenUpTo = async (db: Queries): Promise<string> =>
  (
    await db.one(
      v.object({ place: v.string() }),
      "select pg_current_wal_insert_lsn()::text as place",
    )
  ).place;

/** What a whole database holds, to compare a copy with. */
export const countsOfAll = (db: Queries) =>
  db.one(
    v.object({ studios: v.number(), people: v.number(), events: v.number() }),
    `select (select count(*) from studio) as studios, (select count(*) from person) as people,
       (select count(*) from session_event) as events`,
  );

/** Lets the planner know how large the tables are; PGlite never does so by itself. */
export async function refreshStatistics(db: Queries): Promise<void> {
  // Table by table, so that nobody waits for all of them.
  for (const name of ROOM_TABLE_NAMES) await db.execute(`analyze ${name}`);
}
