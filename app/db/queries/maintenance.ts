import type { Queries } from "~/db/client";
import { ROOM_TABLE_NAMES } from "./room-tables";

/** Lets the planner know how large the tables are; PGlite never does so by itself. */
export async function refreshStatistics(db: Queries): Promise<void> {
  // Table by table, so that nobody waits for all of them.
  for (const name of ROOM_TABLE_NAMES) await db.execute(`analyze ${name}`);
}
