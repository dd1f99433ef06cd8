import { existsSync } from "node:fs";
import { readFile } from "node:fs/promises";
import path from "node:path";
import { createDatabase, preparedDump, type Database } from "~/db/client";
import { openPglite } from "~/db/client/pglite.mjs";

const emptyDump = async () => new Blob([await readFile(await preparedDump(process.cwd()))]);

/** A fresh, real, migrated database in memory. */
export async function memoryDatabase(): Promise<Database> {
  return createDatabase(await openPglite({ dump: await emptyDump() }));
}

/**
 * The database of a data directory, opened in this thread: a test can't tell dates that come from
 * another from its own.
 */
export async function directoryDatabase(dataDir: string): Promise<Database> {
  const directory = path.join(dataDir, "database");
  const isNew = !existsSync(path.join(directory, "PG_VERSION"));
  const engine = await openPglite({
    dataDir: directory,
    ...(isNew ? { dump: await emptyDump() } : {}),
  });
  return createDatabase(engine);
}
