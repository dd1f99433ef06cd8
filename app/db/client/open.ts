import { existsSync } from "node:fs";
import { mkdir, rename, writeFile } from "node:fs/promises";
import path from "node:path";
import { createDatabase, type Database } from "./database";
import { lockDirectory } from "./lock";
import { refuseFirstRules } from "./first-rules";
import { forUsAlone } from "./private-files";
import { fingerprint, migrate, readMigrations } from "./migrate";
import { openPglite } from "./pglite.mjs";
import { openThreadEngine } from "./thread-engine";

const clientFolder = (root: string) => path.join(root, "app/db/client");
const migrationsIn = (root: string) => readMigrations(path.join(root, "app/db/migrations"));

/**
 * The file with an empty, migrated database, made once per set of migrations: opening from it
 * takes a second where creating a database takes ten.
 */
export async function preparedDump(root: string): Promise<string> {
  const migrations = await migrationsIn(root);
  const file = path.join(root, "build/empty", `${fingerprint(migrations)}.tar.gz`);
  if (existsSync(file)) return file;
  const engine = await openPglite({});
  await migrate(engine, migrations);
  const dump = await engine.dump();
  await engine.close();
  await mkdir(path.dirname(file), { recursive: true });
  // Written aside and renamed: a file that is there is whole.
  const aside = `${file}.${process.pid}`;
  await writeFile(aside, Buffer.from(await dump.arrayBuffer()));
  await rename(aside, file);
  return file;
}

/** Locks and opens the data directory `dataDir`; `root` is where the application's files are. */
export async function openDatabase(
  root: string,
  dataDir: string,
  onDeath?: (why: string) => void,
): Promise<Database> {
  const unlock = await lockDirectory(dataDir);
  await forUsAlone(dataDir);
  const databaseDir = path.join(dataDir, "database");
  try {
    const isNew = !existsSync(path.join(databaseDir, "PG_VERSION"));
    const engine = await openThreadEngine({
      dataDir: databaseDir,
      dumpFile: isNew ? await preparedDump(root) : undefined,
      clientFolder: clientFolder(root),
      ...(onDeath ? { onDeath } : {}),
    });
    // Unpacked with the rights that its files had when it was packed: anybody's.
    if (isNew) await forUsAlone(databaseDir);
    if (!isNew) await refuseFirstRules(engine);
    await migrate(engine, await migrationsIn(root));
    const database = createDatabase(engine);
    return {
      ...database,
      async close() {
        await database.close();
        await unlock();
      },
    };
  } catch (error) {
    await unlock();
    throw error;
  }
}
