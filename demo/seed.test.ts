import { randomUUID } from "node:crypto";
import { afterAll, beforeAll, describe, expect, test } from "@jest/globals";
import * as v from "valibot";
import { addDays, dayOf, daysBetween } from "~/core/units";
import { memoryDatabase } from "~/db/test/memory";
import { allStudios } from "~/db/queries";
import { progressPage } from "~/server/cases/passage-pages";
import { studentPage } from "~/server/cases/student-pages";
import { todayPage } from "~/server/cases/today";
import { weekOf } from "~/server/cases/week";
import { workHere } from "~/server/score/work";
import type { Services } from "~/server/services";
import { ROOM } from "./scenario";
import { seedDemo } from "./seed";

// A Sunday night: whatever the hour and the day, the demo must end today.
const NOW = Date.UTC(2026, 4, 3, 22, 40);
const today = dayOf(NOW, ROOM.timeZone);

let services: Services;
let studioId: string;
let lines: Awaited<ReturnType<typeof weekOf>>["lines"];
beforeAll(async () => {
  const db = await memoryDatabase();
  services = { db, now: () => NOW, newId: randomUUID, scores: workHere() };
  await seedDemo(services, process.cwd());
  studioId = (await allStudios(services.db))[0]!.id;
  lines = (await weekOf(services, studioId)).lines;
}, 120_000);
afterAll(() => services.db.close());

const line = (name: string) => lines.find((each) => each.name.startsWith(name))!;
const kinds = (name: string) => line(name).looks.map(({ kind }) => kind);

describe("the demo music room", () => {
  test("has six students and at least eight pieces with passages", async () => {
    expect(lines).toHaveLength(6);
    const pages = await Promise.all(lines.map(({ id }) => studentPage(services, studioId, id)));
    const pieces = pages.flatMap((page) => page.pieces);
    expect(pieces.length).toBeGreaterThanOrEqual(8);
    for (const { pieces: own, passages } of pages) {
      for (const { id } of own) expect(passages.some(({ pieceId }) => pieceId === id)).toBe(true);
    }
  });

  test("ends today and goes back ten weeks, nothing in the future", async () => {
    const days = await services.db.many(
      v.object({ day: v.string() }),
      "select distinct day from session_outcome order by day",
    );
    const all = days.map(({ day }) => day);
    expect(daysBetween(all[0]!, today)).toBeGreaterThan(60);
    expect(daysBetween(all.at(-1)!, today)).toBeGreaterThanOrEqual(0);
    expect(all.at(-1)! >= addDays(today, -1)).toBe(true);
    const future = await services.db.many(
      v.object({ id: v.string() }),
      "select id from session_event where at > $1",
      [new Date(NOW)],
    );
    expect(future).toEqual([]);
  });

  test("shows someone silent, someone sore, someone stuck and someone thriving", async () => {
    expect(kinds("Petra")).toEqual(["silent"]);
    expect(kinds("Yusuf")).toEqual(["pain"]);
    expect(kinds("Bram")).toContain("stuck");
    const { passages } = await studentPage(services, studioId, line("Ines").id);
    expect(passages.map(({ state }) => state)).toContain("safe");
    const newest = await studentPage(services, studioId, line("Tobi").id);
    expect(newest.log.length).toBeLessThanOrEqual(3);
  });

  test("what is shown can be explained: ceilings above comfort, starts within the ladder", async () => {
    for (const { id } of lines) {
      const { passages } = await todayPage(services, studioId, id);
      for (const passage of passages) {
        expect(passage.start).toBeGreaterThanOrEqual(10);
        expect(passage.start).toBeLessThanOrEqual(passage.target!);
        const { days } = await progressPage(services, studioId, passage.id);
        for (const day of days) {
          expect(day.comfortable).toBeLessThanOrEqual(day.ceiling);
          expect(day.clean).toBeLessThanOrEqual(day.plays);
        }
      }
    }
  });
});
