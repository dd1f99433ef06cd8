import { randomUUID } from "node:crypto";
import { mkdir, mkdtemp, rm, stat, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "@jest/globals";
import * as v from "valibot";
import { memoryDatabase } from "~/db/test/memory";
import { lockDirectory } from "./lock";
import { forUsAlone } from "./private-files";
import { openThreadEngine } from "./thread-engine";
import { migrate, readMigrations } from "./migrate";
import { openPglite } from "./pglite.mjs";
import type { Database, Queries } from ".";

let db: Database;
beforeAll(async () => {
  db = await memoryDatabase();
}, 60_000);
afterAll(() => db.close());

const names = v.object({ name: v.string() });
const insert = (name: string) =>
  [
    "insert into studio (id, name, time_zone) values ($1, $2, 'UTC')",
    [randomUUID(), name],
  ] as const;

describe("queries", () => {
  test("one, maybeOne and many hold what they promise", async () => {
    await db.execute(...insert("Weir Lane"));
    await db.execute(...insert("Ropewalk"));
    await expect(db.one(names, "select name from studio")).rejects.toThrow("2 rows");
    await expect(db.one(names, "select name from studio where false")).rejects.toMatchObject({
      kind: "not-found",
    });
    expect(await db.maybeOne(names, "select name from studio where false")).toBeUndefined();
    expect(await db.many(names, "select name from studio order by name")).toHaveLength(2);
  });

  test("database errors are told by kind", async () => {
    await expect(db.execute(...insert(""))).rejects.toMatchObject({ kind: "check" });
    await expect(
      db.many(names, "select name from studio where id = $1", ["not an id"]),
    ).rejects.toMatchObject({ kind: "bad-value" });
  });

  test("a transaction that fails leaves nothing behind", async () => {
    const work = db.transaction(async (tx) => {
      await tx.execute(...insert("Half written"));
      throw new Error("in the middle");
    });
    await expect(work).rejects.toThrow("in the middle");
    expect(await db.many(names, "select name from studio where name like 'Half%'")).toEqual([]);
  });

  test("what is asked for behind a failed statement is not done, nor what comes after the end", async () => {
    let handle: Queries | undefined;
    const work = db.transaction(async (tx) => {
      handle = tx;
      await Promise.all([tx.execute(...insert("")), tx.execute(...insert("Behind it"))]);
    });
    await expect(work).rejects.toMatchObject({ kind: "check" });
    await expect(handle!.execute(...insert("Too late"))).rejects.toThrow("over");
    const left = "select name from studio where name in ('Behind it', 'Too late')";
    expect(await db.many(names, left)).toEqual([]);
    const told = db.transaction(async (tx) => {
      tx.execute(...insert("")).catch(() => undefined);
      await tx.execute(...insert("Behind it"));
    });
    await expect(told).rejects.toMatchObject({ kind: "check" });
  });

  test("reaching past a transaction for the database throws instead of waiting for ever", async () => {
    const work = db.transaction(() => db.execute("select 1"));
    await expect(work).rejects.toThrow("use the handle");
  });
});

describe("the house around it", () => {
  test("a changed migration is refused", async () => {
    const engine = await openPglite({});
    const [first, ...others] = await readMigrations(path.resolve("app/db/migrations"));
    await migrate(engine, [first!, ...others]);
    await migrate(engine, [first!, ...others]);
    const changed = [{ ...first!, checksum: "something else" }, ...others];
    await expect(migrate(engine, changed)).rejects.toThrow(first!.name);
    await engine.close();
  }, 60_000);

  test("when its thread ends, whoever waits and whoever asks later is told at once", async () => {
    const clientFolder = await mkdtemp(path.join(tmpdir(), "fidus-thread-"));
    const thread = `import { parentPort } from "node:worker_threads";
      parentPort.postMessage({ opened: true });
      parentPort.once("message", () => process.exit(3));`;
    await writeFile(path.join(clientFolder, "pglite-thread.mjs"), thread);
    const said: string[] = [];
    const onDeath = (why: string) => said.push(why);
    const options = { dataDir: clientFolder, dumpFile: undefined, clientFolder, onDeath };
    const engine = await openThreadEngine(options);
    const message = expect.stringContaining("The database has stopped");
    const asked = [engine.query("select 1", []), engine.query("select 2", [])];
    for (const query of asked) await expect(query).rejects.toMatchObject({ message });
    await expect(engine.query("select 3", [])).rejects.toMatchObject({ message });
    expect(said).toEqual([message]);
    await engine.close();
    await rm(clientFolder, { recursive: true });
  });

  test("what is in the data directory is for us alone, whatever was there before", async () => {
    const directory = await mkdtemp(path.join(tmpdir(), "fidus-private-"));
    const file = path.join(directory, "inside", "table");
    await mkdir(path.dirname(file), { mode: 0o755 });
    await writeFile(file, "rows", { mode: 0o666 });
    await forUsAlone(directory);
    const mode = async (name: string) => (await stat(name)).mode & 0o777;
    expect(await Promise.all([directory, path.dirname(file), file].map(mode))).toEqual([
      ...[0o700, 0o700, 0o600],
    ]);
    await rm(directory, { recursive: true });
  });

  test("a directory is locked for one process at a time, and free again afterwards", async () => {
    const directory = await mkdtemp(path.join(tmpdir(), "fidus-lock-"));
    const unlock = await lockDirectory(directory);
    await expect(lockDirectory(directory)).rejects.toThrow("already running");
    await unlock();
    await (
      await lockDirectory(directory)
    )();
    await rm(directory, { recursive: true });
  });
});
