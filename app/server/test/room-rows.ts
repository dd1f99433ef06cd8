import * as v from "valibot";
import type { Queries } from "~/db/client";
import { LEFT_OUT, roomTable, ROOM_TABLE_NAMES, tableNames } from "~/db/queries";

/** Nothing of a room, or made anew in every room. */
const NOT_COMPARED = ["migration", "access", "sign_in", "outlook"];

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
    all[table] = rows.map(({ line }) => line).sort();
  }
  return all;
}

/** Tables that are neither carried with a room nor named as left out. */
export const forgotten = async (db: Queries): Promise<string[]> =>
  (await tableNames(db)).filter(
    (name) => !(name in LEFT_OUT) && !ROOM_TABLE_NAMES.some((each) => each === name),
  );
