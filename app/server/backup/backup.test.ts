import { randomUUID } from "node:crypto";
import { cp, mkdtemp, readdir, rm, stat } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "@jest/globals";
import type { Database } from "~/db/client";
import { directoryDatabase } from "~/db/test/memory";
import { countsOfAll } from "~/db/queries";
import { TakeFiles } from "../takes/take-files";
import { furnishedRoom } from "../test/room";
import { Backups } from "./backups";
import { BackupFolder } from "./folder";
import { restoreBackup } from "./restore";
import { partsOf } from "./take-backup";

let dataDir: string;
let db: Database;
let folder: BackupFolder;
let hour = 0;
const now = () => Date.UTC(2026, 4, 4, 12 + hour);
const backups = (keep = 3, everyHours = 2) =>
  new Backups({ db, dataDir, folder, keep, everyHours, now });

beforeAll(async () => {
  dataDir = await mkdtemp(path.join(tmpdir(), "fidus-backup-"));
  db = await directoryDatabase(dataDir);
  folder = new BackupFolder(path.join(dataDir, "backups"));
}, 60_000);
afterAll(async () => {
  await db.close();
  await rm(dataDir, { recursive: true });
});

/** Opens a backup in a place of its own and looks at it. */
async function restored<T>(
  name: string | undefined,
  look: (db: Database, at: string) => Promise<T>,
) {
  const place = await mkdtemp(path.join(tmpdir(), "fidus-restored-"));
  const done = await restoreBackup(place, folder, name, new Date(now()));
  if (!done.ok) throw new Error(done.error);
  const opened = await directoryDatabase(place);
  try {
    return await look(opened, place);
  } finally {
    await opened.close();
    await rm(place, { recursive: true });
  }
}

describe("a backup", () => {
  test("carries recordings and the secret, and what is deleted later stays in it", async () => {
    const files = new TakeFiles(path.join(dataDir, "takes"));
    const room = await furnishedRoom({ over: db });
    const kept = await files.keepWhole(randomUUID(), new TextEncoder().encode("OggS and more"));
    const { hash } = kept as { hash: string };
    await db.execute(
      `insert into demonstration (id, studio_id, piece_id, name, bytes, hash, media_type, made_at)
       values ($1, $2, $3, 'Slow', 13, $4, 'audio/ogg', now())`,
      [randomUUID(), room.studioId, room.pieceId, hash],
    );
    hour++;
    const taken = await backups().take();
    await files.forget(hash);
    await restored(undefined, async (copy, place) => {
      expect(await countsOfAll(copy)).toEqual(taken.counts);
      const file = path.join(partsOf(place).takes, hash.slice(0, 2), hash);
      expect((await stat(file)).size).toBe(13);
    });
  }, 60_000);

  test("is taken when the newest is old, and the oldest go, with recordings that nobody needs", async () => {
    const some = backups(2, 2);
    hour++;
    await some.takeIfDue();
    const [newest] = await folder.all();
    expect(await some.hoursOld()).toBe(1);
    for (hour = 10; hour < 14; hour++) await some.takeIfDue();
    expect(await folder.all()).toHaveLength(2);
    expect((await folder.all()).map(({ name }) => name)).not.toContain(newest!.name);
    await db.execute("delete from demonstration");
    for (hour = 20; hour < 24; hour += 2) await some.takeIfDue();
    expect(await readdir(path.join(folder.path, "takes"), { recursive: true })).toEqual(
      expect.not.arrayContaining([expect.stringMatching(/[0-9a-f]{64}/)]),
    );
  }, 60_000);

  test("one that broke off is no backup, and is swept away by the next", async () => {
    const half = `${folder.placeOf("2026-06-05T12-00-00.000Z")}.partial`;
    await cp(folder.placeOf((await folder.all())[0]!.name), half, { recursive: true });
    expect((await folder.all()).some(({ name }) => name.includes("06-05"))).toBe(false);
    hour++;
    await backups().take();
    expect(await stat(half).catch(() => "gone")).toBe("gone");
  }, 60_000);

  test("carries no more of the log of changes than what came since its checkpoint", async () => {
    const filled = "insert into lots select repeat('x', 100) from generate_series(1, 150000)";
    await db.execute("create table lots (text text)");
    for (let n = 0; n < 3; n++) await db.execute(filled);
    hour++;
    const { name, counts } = await backups().take();
    const all = await readdir(path.join(partsOf(dataDir).database, "pg_wal"));
    const carried = await readdir(path.join(partsOf(folder.placeOf(name)).database, "pg_wal"));
    expect(all.length).toBeGreaterThan(carried.length);
    const log = carried.filter((file) => /^[0-9A-F]{24}$/.test(file));
    expect(log.length).toBeLessThanOrEqual(2);
    await restored(name, async (copy) => expect(await countsOfAll(copy)).toEqual(counts));
    await db.execute("drop table lots");
  }, 60_000);

  test("what isn't there is said with what is", async () => {
    const done = await restoreBackup(dataDir, folder, "yesterday", new Date());
    expect(done).toMatchObject({ error: expect.stringContaining((await folder.all())[0]!.name) });
  });
});
