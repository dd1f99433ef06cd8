import { readFile } from "node:fs/promises";
import { createDatabase, preparedDump, type Database } from "~/db/client";
import { openPglite } from "~/db/client/pglite.mjs";

/** A fresh, real, migrated database in memory. */
export async function memoryDatabase(): Promise<Database> {
  const dump = new Blob([await readFile(await preparedDump(process.cwd()))]);
  return createDatabase(await openPglite({ dump }));
}
