import path from "node:path";
import { countsOfAll } from "~/db/queries";
import { lockDirectory, openDatabase } from "~/db/client";
import { invite as writeInvitation } from "./access/opening";
import { Backups } from "./backup/backups";
import { askForBackup } from "./backup/control";
import { BackupFolder } from "./backup/folder";
import { restoreBackup } from "./backup/restore";
import { readEnvironment } from "./environment";

interface Asked {
  /** The application's folder. */
  readonly root: string;
  readonly variables: NodeJS.ProcessEnv;
}

const NOBODY_LEAVES = () => undefined;

/** Writes an invitation to open a studio, good once, and tells its address; the server may be running. */
export async function invite({ root, variables }: Asked): Promise<string> {
  const { dataDir, host, port, origin } = readEnvironment(root, variables);
  const secret = await writeInvitation(dataDir);
  return `${origin ?? `http://${host}:${port}`}/open?invitation=${secret}`;
}

/** Takes a backup, by the running server where there is one; tells what came of it. */
export async function backup({ root, variables }: Asked): Promise<string> {
  const { dataDir, backups: settings } = readEnvironment(root, variables);
  const said = await askForBackup(dataDir);
  if (said !== undefined) {
    const answer = JSON.parse(said) as { name?: string; heldMs?: number; sentence?: string };
    if (answer.sentence !== undefined) throw new Error(answer.sentence);
    return `Backup ${answer.name} taken; writes waited ${answer.heldMs} ms.`;
  }
  const db = await openDatabase(root, dataDir, NOBODY_LEAVES);
  try {
    const folder = new BackupFolder(settings.folder);
    const taken = await new Backups({ ...settings, db, dataDir, folder, now: Date.now }).take();
    return `Backup ${taken.name} taken.`;
  } finally {
    await db.close();
  }
}

/** Puts a backup, the newest or the one that is named, in the place of the data; no server runs. */
export async function restore({ root, variables }: Asked, name?: string): Promise<string> {
  const { dataDir, backups: settings } = readEnvironment(root, variables);
  const folder = new BackupFolder(settings.folder);
  const unlock = await lockDirectory(dataDir);
  const restored = await restoreBackup(dataDir, folder, name, new Date()).finally(unlock);
  if (!restored.ok) throw new Error(restored.error);
  const { backup: from, aside } = restored.value;
  const db = await openDatabase(root, dataDir, NOBODY_LEAVES);
  const counts = await countsOfAll(db).finally(() => db.close());
  const told = JSON.stringify(counts);
  if (told !== JSON.stringify(from.counts)) {
    throw new Error(
      `The backup ${from.name} holds ${JSON.stringify(from.counts)}, but ${told} came.`,
    );
  }
  const before = aside ? ` What was there lies in ${path.basename(aside)}.` : "";
  return `Restored ${from.name}: ${counts.studios} studios, ${counts.people} people, ${counts.sessions} sessions.${before}`;
}
