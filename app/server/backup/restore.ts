import { existsSync } from "node:fs";
import { mkdir, rename, rm } from "node:fs/promises";
import path from "node:path";
import { err, ok, type Result } from "~/core/result";
import {
  copied,
  copyAll,
  filesIn,
  nameAt,
  sameFolders,
  type Backup,
  type BackupFolder,
} from "./folder";
import { partsOf } from "./take-backup";

/**
 * Puts a backup in the place of what is in a data directory, which nobody has open. What was there is
 * laid aside, not deleted; tells where.
 */
export async function restoreBackup(
  dataDir: string,
  folder: BackupFolder,
  asked: string | undefined,
  at: Date,
): Promise<Result<{ readonly backup: Backup; readonly aside: string | undefined }, string>> {
  const all = await folder.all();
  const backup = asked === undefined ? all[0] : all.find(({ name }) => name === asked);
  if (!backup) {
    const there = all.map(({ name }) => name).join(", ") || "none";
    return err(`There is no such backup in ${folder.path}. There: ${there}.`);
  }
  const parts = partsOf(dataDir);
  const from = folder.placeOf(backup.name);
  await mkdir(dataDir, { recursive: true, mode: 0o700 });
  const coming = `${parts.database}.coming`;
  await rm(coming, { recursive: true, force: true });
  const database = path.join(from, "database");
  await sameFolders(database, coming);
  await copyAll(database, coming, await filesIn(database));
  for (const hash of backup.takes) {
    const to = path.join(parts.takes, hash.slice(0, 2), hash);
    if (!existsSync(to)) await copied(folder.takeOf(hash), to);
  }
  if (!existsSync(parts.secret)) await copied(path.join(from, "secret"), parts.secret);
  const isThere = existsSync(parts.database);
  const aside = `${parts.database}.before-${nameAt(at)}`;
  if (isThere) await rename(parts.database, aside);
  await rename(coming, parts.database);
  return ok({ backup, aside: isThere ? aside : undefined });
}
