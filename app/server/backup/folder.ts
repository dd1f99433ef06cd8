import { copyFile, link, mkdir, open, readdir, readFile, rename, rm, stat } from "node:fs/promises";
import { constants } from "node:fs";
import path from "node:path";
import * as v from "valibot";

const HASH = /^[0-9a-f]{64}$/;

const manifestSchema = v.object({
  format: v.literal("fidus-backup"),
  at: v.pipe(v.string(), v.isoTimestamp()),
  /** How far its tables had come. */
  tables: v.number(),
  /** What was in it, to compare with when it is restored. */
  counts: v.object({ studios: v.number(), people: v.number(), sessions: v.number() }),
  /** For how long nobody could write while it was taken, in milliseconds. */
  heldMs: v.number(),
  /** Of the database alone. */
  bytes: v.number(),
  takes: v.array(v.pipe(v.string(), v.regex(HASH))),
});
export type Manifest = v.InferOutput<typeof manifestSchema>;

const MANIFEST = "backup.json";
const NAME = /^\d{4}-\d\d-\d\dT\d\d-\d\d-\d\d(\.\d{3})?Z$/;
/** What is not whole yet, or about to go. */
const PARTIAL = ".partial";

/** A moment as the name of a folder: the order of names is the order of time. */
export const nameAt = (at: Date): string => at.toISOString().replaceAll(":", "-");

export interface Backup extends Manifest {
  readonly name: string;
}

/** What a file or folder holds is on the disk when this is through. */
export async function flush(name: string): Promise<void> {
  const handle = await open(name, "r");
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
}

/** Every file below a folder, relative to it; what goes away meanwhile is left out. */
export async function filesIn(folder: string): Promise<string[]> {
  const found = await readdir(folder, { recursive: true, withFileTypes: true });
  return found
    .filter((entry) => entry.isFile())
    .map(({ parentPath, name }) => path.relative(folder, path.join(parentPath, name)));
}

/** Makes all folders that are below one below another, empty ones too. */
export async function sameFolders(from: string, to: string): Promise<void> {
  await mkdir(to, { recursive: true, mode: 0o700 });
  for (const entry of await readdir(from, { recursive: true, withFileTypes: true })) {
    if (!entry.isDirectory()) continue;
    const name = path.relative(from, path.join(entry.parentPath, entry.name));
    await mkdir(path.join(to, name), { recursive: true, mode: 0o700 });
  }
}

/** Copies a file, as a clone where the disk can; whether it was still there. */
export async function copied(from: string, to: string): Promise<boolean> {
  await mkdir(path.dirname(to), { recursive: true, mode: 0o700 });
  try {
    await copyFile(from, to, constants.COPYFILE_FICLONE);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === "ENOENT") return false;
    throw error;
  }
  await flush(to);
  return true;
}

/** So many files are copied side by side: much of each is waiting for the disk. */
const SIDE_BY_SIDE = 16;

/** Copies files from one folder into another; those that have gone are left out. */
export async function copyAll(from: string, to: string, files: readonly string[]): Promise<void> {
  for (let first = 0; first < files.length; first += SIDE_BY_SIDE) {
    const some = files.slice(first, first + SIDE_BY_SIDE);
    await Promise.all(some.map((file) => copied(path.join(from, file), path.join(to, file))));
  }
}

/** The folder in which backups lie: each a folder of its own, recordings by their content beside. */
export class BackupFolder {
  constructor(readonly path: string) {}

  private inside = (...names: string[]) => path.join(this.path, ...names);
  /** Where a backup lies. */
  placeOf = (name: string) => this.inside(name);
  takeOf = (hash: string) => this.inside("takes", hash.slice(0, 2), hash);

  /** The whole backups, the newest first. */
  async all(): Promise<Backup[]> {
    const names = (await readdir(this.path).catch(() => [])).filter((name) => NAME.test(name));
    const read = await Promise.all(
      names
        .toSorted()
        .reverse()
        .map((name) => this.one(name)),
    );
    return read.filter((each) => each !== undefined);
  }

  private async one(name: string): Promise<Backup | undefined> {
    const text = await readFile(this.inside(name, MANIFEST), "utf8").catch(() => "");
    const read = v.safeParse(v.pipe(v.string(), v.parseJson(), manifestSchema), text);
    return read.success ? { name, ...read.output } : undefined;
  }

  /** Begins a backup; nobody takes it for one until it is finished. */
  async begin(name: string): Promise<string> {
    const folder = this.inside(`${name}${PARTIAL}`);
    await rm(folder, { recursive: true, force: true });
    await mkdir(folder, { recursive: true, mode: 0o700 });
    return folder;
  }

  /** All of it is there: it has its name from now on. */
  async finish(name: string, manifest: Manifest): Promise<Backup> {
    const folder = this.inside(`${name}${PARTIAL}`);
    const file = path.join(folder, MANIFEST);
    const handle = await open(file, "w", 0o600);
    await handle.writeFile(`${JSON.stringify(manifest, null, 2)}\n`);
    await handle.sync();
    await handle.close();
    await rename(folder, this.inside(name));
    await flush(this.path);
    return { name, ...manifest };
  }

  /** Keeps a recording, once for all backups: a second name for the same file where that can be. */
  async keepTake(hash: string, from: string): Promise<void> {
    const to = this.takeOf(hash);
    if (await stat(to).catch(() => undefined)) return;
    await mkdir(path.dirname(to), { recursive: true, mode: 0o700 });
    const linked = await link(from, to).then(
      () => true,
      () => false,
    );
    // What was deleted meanwhile is not in it.
    if (!linked) await copied(from, to);
  }

  /** Takes away all but the newest, what was begun and not finished, and recordings of none of them. */
  async prune(keep: number): Promise<void> {
    const all = await this.all();
    const kept = all.slice(0, keep);
    const names = new Set(kept.map(({ name }) => name));
    for (const name of await readdir(this.path).catch(() => [])) {
      const isOld = NAME.test(name) ? !names.has(name) : name.endsWith(PARTIAL);
      if (isOld) await rm(this.inside(name), { recursive: true, force: true });
    }
    const wanted = new Set(kept.flatMap(({ takes }) => takes));
    for (const file of await filesIn(this.inside("takes")).catch(() => [])) {
      if (!wanted.has(path.basename(file))) await rm(this.inside("takes", file), { force: true });
    }
  }
}
