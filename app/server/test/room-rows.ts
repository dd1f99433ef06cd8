import * as v from "valibot";
import { ownIds, withOwnIds, wordsWithOwnIds } from "~/server/archive/ids";
import type { Queries } from "~/db/client";
import { LEFT_OUT, roomTable, ROOM_TABLE_NAMES, tableNames } from "~/db/queries";

/** Nothing of a room, or made anew in every room. */
const NOT_COMPARED = ["migration", "access", "sign_in", "outlook", "lesson_typed"];

/** Every row of every table of a room as text, what never goes out with a room left out. */
export async function roomRows(db: Queries, studioId: string): Promise<Record<string, string[]>> {
  const all: Record<string, string[]> = {};
  for (const table of await tableNames(db)) {
    if (NOT_COMPARED.includes(table)) continue;
    const name = ROOM_TABLE_NAMES.find((each) => each === table);
    const { leaves = [], of = { table, by: "id" } } = name ? roomTable(name) : {};
    const room = of.table === "studio" ? "id" : "studio_id";
    const which = `${of.by} in (select id from ${of.table} where ${room} = $1)`;
    const rows = await db.many(
      v.object({ line: v.string() }),
      `select (to_jsonb(t) - $2::text[])::text as line from ${table} t where ${which}`,
      [studioId, leaves],
    );
    all[table] = rows.map(({ line }) => JSON.stringify(JSON.parse(line))).toSorted();
  }
  return all;
}

/** Rows as they are in a room that read them in, where those that are known have other ids. */
export function asRowsOf(
  rows: readonly string[],
  studioId: string,
  known: ReadonlyMap<string, string>,
): string[] {
  const own = ownIds(studioId, known);
  return rows
    .map((line) => {
      const row = withOwnIds(JSON.parse(line), own) as Record<string, unknown>;
      if (typeof row.key === "string") row.key = wordsWithOwnIds(row.key, own);
      return JSON.stringify(row);
    })
    .toSorted();
}

/** Tables that are neither carried with a room nor named as left out. */
export const forgotten = async (db: Queries): Promise<string[]> =>
  (await tableNames(db)).filter(
    (name) => !(name in LEFT_OUT) && !ROOM_TABLE_NAMES.some((each) => each === name),
  );
