import * as v from "valibot";
import type { Queries } from "~/db/client";
import { ROOM_TABLE_NAMES } from "./room-tables";

/**
 * Writes what has changed to its place, so that a start after a crash has little to do again and the
 * log of changes does not grow for ever; PGlite does so only when it is closed.
 */
export const checkpoint = (db: Queries) => db.execute("checkpoint");

const logFileRow = v.object({ file: v.string() });

/** The file of the log of changes in which the last checkpoint begins. */
export const firstLogFile = async (db: Queries): Promise<string> =>
  (await db.one(logFileRow, "select redo_wal_file as file from pg_control_checkpoint()")).file;

/** The file of the log of changes that is written just now. */
export const lastLogFile = async (db: Queries): Promise<string> =>
  (await db.one(logFileRow, "select pg_walfile_name(pg_current_wal_insert_lsn()) as file")).file;

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
    v.object({ studios: v.number(), people: v.number(), sessions: v.number() }),
    `select (select count(*) from studio) as studios, (select count(*) from person) as people,
       (select count(*) from session) as sessions`,
  );

/** Lets the planner know how large the tables are; PGlite never does so by itself. */
export async function refreshStatistics(db: Queries): Promise<void> {
  const looked = await db.many(
    v.object({ name: v.string(), columns: v.string() }),
    `select table_name as name, string_agg(quote_ident(column_name), ', ') as columns
     from information_schema.columns
     where table_schema = 'public' and table_name = any($1::text[])
       and data_type not in ('jsonb', 'bytea', 'text')
     group by table_name order by table_name`,
    [ROOM_TABLE_NAMES],
  );
  // A sample of some thousand rows is enough to tell a large table from a small one.
  await db.execute("set default_statistics_target = 25");
  // Table by table, so that nobody waits for all of them, and without what nothing is looked up by:
  // most of the time would go into unpacking it.
  for (const { name, columns } of looked) await db.execute(`analyze ${name} (${columns})`);
}
