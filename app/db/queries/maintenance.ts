import type { Queries } from "~/db/client";

/** Lets the planner know how large the tables are; PGlite never does so by itself. */
export const refreshStatistics = (db: Queries) => db.execute("analyze");
