import { randomUUID } from "node:crypto";
import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { afterAll, beforeAll, expect, test } from "@jest/globals";
import * as v from "valibot";
import { directoryDatabase } from "~/db/test/memory";
import { DiskRecorder } from "~/db/test/disk-recorder";

/** So many copies are opened: each takes a second. */
const CUTS = Number(process.env.FIDUS_POWER_CUTS ?? 4);

let dataDir: string;
beforeAll(async () => {
  dataDir = await mkdtemp(path.join(tmpdir(), "fidus-power-"));
});
afterAll(() => rm(dataDir, { recursive: true }));

/** Numbers that come again with the same seed. */
function numbers(seed: number) {
  let state = seed;
  return () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
}

const names = v.object({ name: v.string() });

test(
  "a power cut at any moment leaves a database that opens, with all that was acknowledged",
  async () => {
    await (await directoryDatabase(dataDir)).close();
    const disk = new DiskRecorder(dataDir);
    const acknowledged: { readonly name: string; readonly behind: number }[] = [];
    const db = await directoryDatabase(dataDir);
    const insert = "insert into studio (id, name, time_zone) values ($1, $2, 'UTC')";
    for (let n = 0; n < 160; n++) {
      const name = `${n} ${"x".repeat(100)}`;
      if (n % 3 === 0) {
        await db.transaction(async (tx) => {
          await tx.execute(insert, [randomUUID(), name]);
          await tx.execute("update studio set concert_name = $1 where id <> $2", [
            name,
            randomUUID(),
          ]);
        });
      } else await db.execute(insert, [randomUUID(), name]);
      acknowledged.push({ name, behind: disk.ops.length });
      if (n % 50 === 49) await db.execute("checkpoint");
    }
    disk.stop();
    await db.close();
    const random = numbers((Number(process.env.FIDUS_SEED ?? 1) % 2_147_483_646) + 1);
    const first = acknowledged[0]!.behind;
    for (let cut = 0; cut < CUTS; cut++) {
      const upTo = first + Math.floor(random() * (disk.ops.length - first));
      const copy = await mkdtemp(path.join(tmpdir(), "fidus-cut-"));
      disk.layOut(copy, upTo, () => random() < 0.5);
      const opened = await directoryDatabase(copy);
      const found = await opened.many(names, "select name from studio");
      const there = new Set(found.map(({ name }) => name));
      const wanted = acknowledged.filter(({ behind }) => behind <= upTo);
      expect({ upTo, lost: wanted.filter(({ name }) => !there.has(name)) }).toEqual({
        upTo,
        lost: [],
      });
      // Readable to the last page, also by its indices.
      await opened.execute("reindex table studio");
      await opened.close();
      await rm(copy, { recursive: true });
    }
    expect(disk.ops.filter(({ kind }) => kind === "sync").length).toBeGreaterThan(160);
  },
  60_000 + CUTS * 10_000,
);
