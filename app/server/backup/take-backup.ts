import { copyFile, stat } from "node:fs/promises";
import path from "node:path";
import type { Database } from "~/db/client";
import {
  checkpoint,
  countsOfAll,
  firstLogFile,
  lastLogFile,
  tablesVersion,
  takeHashes,
} from "~/db/queries";
import {
  copied,
  copyAll,
  filesIn,
  flush,
  nameAt,
  sameFolders,
  type Backup,
  type BackupFolder,
} from "./folder";

/** Where the parts of a data directory lie. */
export const partsOf = (dataDir: string) => ({
  database: path.join(dataDir, "database"),
  takes: path.join(dataDir, "takes", "whole"),
  secret: path.join(dataDir, "secret"),
});

const CONTROL = path.join("global", "pg_control");
const LOG = "pg_wal";
const isLog = (file: string) => file.startsWith(`${LOG}${path.sep}`);

interface BackupAsked {
  readonly db: Database;
  readonly dataDir: string;
  readonly folder: BackupFolder;
  readonly at: Date;
}

const bytesOf = async (folder: string, files: readonly string[]): Promise<number> => {
  const sizes = await Promise.all(files.map((file) => stat(path.join(folder, file))));
  return sizes.reduce((sum, { size }) => sum + size, 0);
};

/**
 * Copies a database that is in use. Everything is written to its place first (a checkpoint), and the
 * file that says so is copied at once. Then the files are copied while people go on writing; what
 * they change meanwhile stands whole in the log of changes, which is copied last: only then are
 * writes held. Opened, the copy does what it finds in the log again, as after a crash. No other
 * checkpoint may happen meanwhile; whoever calls this sees to it.
 */
export async function takeBackup({ db, dataDir, folder, at }: BackupAsked): Promise<Backup> {
  const from = partsOf(dataDir);
  const name = nameAt(at);
  const to = await folder.begin(name);
  await sameFolders(from.database, path.join(to, "database"));
  await checkpoint(db);
  await copied(path.join(from.database, CONTROL), path.join(to, "database", CONTROL));
  const data = (await filesIn(from.database)).filter((file) => file !== CONTROL && !isLog(file));
  await copyAll(from.database, path.join(to, "database"), data);
  const first = await firstLogFile(db);
  const held = await db.transaction(async (tx) => {
    // Others wait from here on, and nothing of this is written.
    const begun = performance.now();
    const [counts, takes, tables, last] = await Promise.all([
      countsOfAll(tx),
      takeHashes(tx),
      tablesVersion(tx),
      lastLogFile(tx),
    ]);
    // Older ones, and those made ready for later, hold nothing that is needed.
    const needed = (file: string) =>
      isLog(file) && path.basename(file) >= first && path.basename(file) <= last;
    const logs = (await filesIn(from.database)).filter(needed);
    for (const file of logs) {
      await copyFile(path.join(from.database, file), path.join(to, "database", file));
    }
    return { counts, takes, tables, heldMs: Math.round(performance.now() - begun) };
  });
  const files = await filesIn(path.join(to, "database"));
  for (const file of files.filter(isLog)) await flush(path.join(to, "database", file));
  await copied(from.secret, path.join(to, "secret"));
  for (const hash of held.takes) {
    await folder.keepTake(hash, path.join(from.takes, hash.slice(0, 2), hash));
  }
  return folder.finish(name, {
    format: "fidus-backup",
    at: at.toISOString(),
    ...held,
    bytes: await bytesOf(path.join(to, "database"), files),
  });
}
