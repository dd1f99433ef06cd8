import { createHash } from "node:crypto";
import { createReadStream } from "node:fs";
import { mkdir, open, readdir, rename, rm, stat, utimes } from "node:fs/promises";
import path from "node:path";

/** Why something was not taken; `full`: the disk. */
export type NotKept = "gap" | "differs" | "full";

const IN_A_MOMENT_MS = 3_600_000;

const sizeOf = (file: string): Promise<number> =>
  stat(file).then(
    ({ size }) => size,
    () => 0,
  );

async function hashOf(file: string): Promise<string> {
  const hash = createHash("sha256");
  for await (const piece of createReadStream(file)) hash.update(piece as Buffer);
  return hash.digest("hex");
}

const isFull = (error: unknown) =>
  ["ENOSPC", "EDQUOT"].includes((error as NodeJS.ErrnoException).code ?? "");

/**
 * The sound of takes, beside the database: what is still coming in under its owner's id and the
 * take's, what is whole under the hash of its content. A file is written aside and renamed: it is whole or not there.
 */
export class TakeFiles {
  private readonly appending = new Map<string, Promise<void>>();

  constructor(private readonly directory: string) {}

  private coming = (id: string) => path.join(this.directory, "coming", id);
  private whole = (hash: string) => path.join(this.directory, "whole", hash.slice(0, 2), hash);

  /** Bytes of what has come and is not whole yet, under names that begin with an owner's folder. */
  async bytesComing(owner: string): Promise<number> {
    const sizes = (await this.entries(path.join("coming", owner))).map(sizeOf);
    return (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0);
  }

  /** How many bytes of a take have come. */
  next = (id: string): Promise<number> => sizeOf(this.coming(id));

  /** Puts bytes behind those that have come; what is there already is passed over. */
  append(id: string, from: number, bytes: Uint8Array): Promise<number | NotKept> {
    // One after the other: two that see the same end would both write there.
    const turn = (this.appending.get(id) ?? Promise.resolve()).then(() =>
      this.appendNow(id, from, bytes),
    );
    const settled = turn.then(
      () => undefined,
      () => undefined,
    );
    this.appending.set(id, settled);
    void settled.then(() => {
      if (this.appending.get(id) === settled) this.appending.delete(id);
    });
    return turn;
  }

  private async appendNow(id: string, from: number, bytes: Uint8Array): Promise<number | NotKept> {
    const file = this.coming(id);
    await mkdir(path.dirname(file), { recursive: true, mode: 0o700 });
    const there = await sizeOf(file);
    if (from > there) return "gap";
    const fresh = bytes.subarray(there - from);
    if (fresh.length === 0) return there;
    const handle = await open(file, "a", 0o600);
    try {
      // Until all of it is written: a disk that fills up takes a part, and says so the next time.
      await handle.appendFile(fresh);
      await handle.sync();
    } catch (error) {
      // What is left of a piece is a beginning as good as any, if it can't be cut off.
      await handle.truncate(there).catch(() => undefined);
      if (isFull(error)) return "full";
      throw error;
    } finally {
      await handle.close();
    }
    return there + fresh.length;
  }

  /** What has come is whole: it is kept under its hash, if it is what was announced. */
  async keep(id: string, expected: { bytes: number; hash: string }): Promise<undefined | NotKept> {
    const file = this.coming(id);
    if ((await sizeOf(file)) !== expected.bytes || (await hashOf(file)) !== expected.hash) {
      await rm(file, { force: true });
      return "differs";
    }
    const to = this.whole(expected.hash);
    await mkdir(path.dirname(to), { recursive: true, mode: 0o700 });
    // From now on it is looked for; until its row is written nobody may sweep it away.
    await utimes(file, new Date(), new Date());
    await rename(file, to);
    return undefined;
  }

  /** Keeps a sound that came in one piece, under an id of its own; tells its hash. */
  async keepWhole(id: string, bytes: Uint8Array): Promise<{ hash: string } | "full"> {
    const hash = createHash("sha256").update(bytes).digest("hex");
    if ((await this.append(id, 0, bytes)) === "full") {
      await this.dropComing(id);
      return "full";
    }
    await this.keep(id, { bytes: bytes.length, hash });
    return { hash };
  }

  /** Where files may be written that {@link adopt} takes over. */
  async folderForMore(): Promise<string> {
    const folder = path.join(this.directory, "coming");
    await mkdir(folder, { recursive: true, mode: 0o700 });
    return folder;
  }

  /** Takes over a file that was written into {@link folderForMore}, whole and with this hash. */
  async adopt(name: string, hash: string): Promise<void> {
    const to = this.whole(hash);
    await mkdir(path.dirname(to), { recursive: true, mode: 0o700 });
    await rename(this.coming(name), to);
  }

  /** The file of what has come. */
  fileOf = (id: string): string => this.coming(id);

  /** Bytes of a whole take, both ends included; undefined where the file is missing. */
  async read(hash: string, range?: { from: number; to: number }) {
    const file = this.whole(hash);
    const size = await sizeOf(file);
    if (size === 0) return undefined;
    const ends = range ? { start: range.from, end: range.to } : {};
    return { size, stream: createReadStream(file, ends) };
  }

  forget = (hash: string): Promise<void> => rm(this.whole(hash), { force: true });

  dropComing = (id: string): Promise<void> => rm(this.coming(id), { force: true });

  /** Takes away what no take is any more; tells which contents are missing and what was taken away. */
  async sweep(wanted: readonly string[], now = Date.now()) {
    const keep = new Set(wanted);
    const found = new Set<string>();
    const orphans: string[] = [];
    const olderThan = async (entry: string, ms: number) => now - (await stat(entry)).mtimeMs > ms;
    for (const entry of await this.entries("whole")) {
      const name = path.basename(entry);
      found.add(name);
      if (!keep.has(name) && (await olderThan(entry, IN_A_MOMENT_MS))) orphans.push(entry);
    }
    for (const entry of await this.entries("coming")) {
      // Whoever sends it begins again: for an hour nothing has come.
      if (await olderThan(entry, IN_A_MOMENT_MS)) orphans.push(entry);
    }
    await Promise.all(orphans.map((entry) => rm(entry, { force: true })));
    return { orphans: orphans.length, missing: wanted.filter((hash) => !found.has(hash)) };
  }

  private async entries(folder: string): Promise<string[]> {
    const all = await readdir(path.join(this.directory, folder), {
      recursive: true,
      withFileTypes: true,
    }).catch(() => []);
    return all
      .filter((each) => each.isFile())
      .map(({ parentPath, name }) => path.join(parentPath, name));
  }
}
