import { mkdir, mkdtemp, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import * as v from "valibot";
import type { Drawing } from "~/features/print/drawing.server";
import { told } from "~/features/records/told";
import { takeBackup } from "~/server/backup/take-backup";
import { BackupFolder } from "~/server/backup/folder";
import { reportPage } from "~/server/cases/record/report";
import { roomAsZip } from "~/server/cases/room/room-out";
import { deleteForGood } from "~/server/cases/people/student-gone";
import { dayOf, addDays } from "~/core/units";
import { studentById } from "~/db/queries";
import type { Database } from "~/db/client";
import type { Services } from "~/server/services";
import { ms, type Figure } from "./core";

const EVERY_MS = 5;

/** How long others wait while something long is done: the smallest question, asked again and again. */
async function meanwhile(
  db: Database,
  what: string,
  work: () => Promise<unknown>,
): Promise<Figure> {
  let over = false;
  const begun = performance.now();
  const done = work().finally(() => (over = true));
  const waits: number[] = [];
  while (!over) {
    const asked = performance.now();
    await new Promise((resolve) => setTimeout(resolve, EVERY_MS));
    await db.one(v.object({ one: v.number() }), "select 1 as one", []);
    waits.push(performance.now() - asked - EVERY_MS);
  }
  await done;
  const whole = performance.now() - begun;
  const sorted = waits.toSorted((a, b) => a - b);
  const at = (share: number) => ms(sorted[Math.floor((sorted.length - 1) * share)]!);
  return {
    what: `${what}; others wait meanwhile`,
    value: `${ms(whole)}; median ${at(0.5)}, 99 % within ${at(0.99)}, longest ${at(1)}`,
  };
}

/** Everything long in a room with a year of many students, and what it costs whoever asks meanwhile. */
export async function longWorkFigures(
  services: Services & { db: Database },
  dataDir: string,
  { studioId, studentId }: { readonly studioId: string; readonly studentId: string },
): Promise<Figure[]> {
  const { db, print } = services;
  const to = dayOf(services.now(), "Europe/London");
  const query = { group: "", person: "", from: addDays(to, -364), to };
  const folder = await mkdtemp(path.join(tmpdir(), "fidus-bench-backup-"));
  await mkdir(path.join(dataDir, "takes", "whole"), { recursive: true });
  await writeFile(path.join(dataDir, "secret"), "bench");
  const figures = [
    await meanwhile(db, "a report of a year with its PDF", async () =>
      print(studioId, {
        kind: "report",
        report: await reportPage(services, studioId, query),
        locale: "en-GB",
      } satisfies Drawing),
    ),
    await meanwhile(db, "the room taken along as a zip", async () => {
      const zip = roomAsZip(services, told, studioId, { withSounds: false });
      let bytes = 0;
      for await (const chunk of zip) bytes += chunk.length;
      return bytes;
    }),
  ];
  const backup = await takeBackup({
    db,
    dataDir,
    folder: new BackupFolder(folder),
    at: new Date(services.now()),
  });
  figures.push({
    what: `a backup of that room, ${Math.round(backup.bytes / 1e6)} MB: writes are held for`,
    value: ms(backup.heldMs),
  });
  const { name } = await studentById(db, studioId, studentId);
  figures.push(
    await meanwhile(db, "a student with a year deleted", () =>
      deleteForGood(services, studioId, studentId, name),
    ),
  );
  await rm(folder, { recursive: true });
  return figures;
}
