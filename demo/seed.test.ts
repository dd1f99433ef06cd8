import { afterAll, beforeAll, describe, expect, test } from "@jest/globals";
import * as v from "valibot";
import { RULE_NAMES } from "~/core/judge";
import { addDays, dayOf, daysBetween } from "~/core/units";
import { memoryDatabase } from "~/db/test/memory";
import { allStudios, groupsOf, studentsOf } from "~/db/queries";
import { adviceOf } from "~/server/cases/record/advice";
import { logQuerySchema } from "~/forms/log";
import { groupBoard } from "~/server/cases/group/group-board";
import { logPage } from "~/server/cases/record/log";
import { progressPage } from "~/server/cases/piece/passage-pages";
import { reportPage } from "~/server/cases/record/report";
import { studentPage } from "~/server/cases/people/student-pages";
import { weekPage } from "~/server/cases/week/student-week";
import { todayPage } from "~/server/cases/week/today";
import { weekOf } from "~/server/cases/week/board";
import { ownIds, withOwnIds } from "~/server/archive/ids";
import { servicesOver } from "~/server/test/services-over";
import { outAndIn } from "~/server/test/round-trip";
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
  services = servicesOver(await memoryDatabase(), () => NOW);
  await seedDemo(services, process.cwd());
  studioId = (await allStudios(services.db))[0]!.id;
  lines = (await weekOf(services, studioId)).lines;
}, 300_000);
afterAll(() => services.db.close());

const line = (name: string) => lines.find((each) => each.name.startsWith(name))!;
const kinds = (name: string) => line(name).looks.map(({ kind }) => kind);

describe("the demo music room", () => {
  test("has six students and at least eight pieces with passages", async () => {
    // The players of the band stand there as well, without lessons of their own.
    const own = lines.filter(({ inGroup }) => !inGroup);
    expect([own.length, lines.length]).toEqual([6, 18]);
    const pages = await Promise.all(own.map(({ id }) => studentPage(services, studioId, id)));
    const pieces = pages.flatMap((page) => page.pieces);
    expect(pieces.length).toBeGreaterThanOrEqual(8);
    for (const { pieces: theirs, passages } of pages) {
      for (const { id } of theirs)
        expect(passages.some(({ pieceId }) => pieceId === id)).toBe(true);
    }
  });

  test("everyone with lessons has a week, the parent's child minutes in it", async () => {
    for (const { id, name, inGroup } of lines) {
      if (inGroup) continue;
      const { week } = await weekPage(services, studioId, id);
      expect([name, week?.items.length ?? 0]).not.toEqual([name, 0]);
      if (name.startsWith("Tobi")) expect(week!.played.minutes).toBeGreaterThan(0);
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

  test("shows each rule of advice, true to its data", async () => {
    const everyone = await studentsOf(services.db, studioId);
    const sees = await Promise.all(
      everyone.map(async ({ id }) => (await adviceOf(services, studioId, id)).sees),
    );
    expect(new Set(sees.flat().map(({ rule }) => rule))).toEqual(new Set(RULE_NAMES));
  });

  test("shows someone silent, someone sore, someone stuck and someone thriving", async () => {
    expect(kinds("Petra")).toEqual(["silent"]);
    expect(kinds("Yusuf")[0]).toBe("pain");
    expect(kinds("Bram")).toContain("stuck");
    const { passages } = await studentPage(services, studioId, line("Ines").id);
    expect(passages.map(({ state }) => state)).toContain("safe");
    const newest = await studentPage(services, studioId, line("Tobi").id);
    expect(newest.passages.every(({ state }) => state !== "safe")).toBe(true);
  });

  test("what is shown can be explained: ceilings above comfort, starts within the ladder", async () => {
    for (const { id } of lines) {
      const { passages } = await todayPage(services, studioId, id);
      for (const passage of passages) {
        expect(passage.start).toBeGreaterThanOrEqual(10);
        expect(passage.start).toBeLessThanOrEqual(passage.target!);
        const { days } = await progressPage(services, studioId, passage.id);
        for (const day of days) {
          expect(day.comfortable).toBeLessThanOrEqual(day.ceiling ?? Infinity);
          expect(day.clean).toBeLessThanOrEqual(day.plays);
        }
      }
    }
  });
});

describe("the demo room as a zip", () => {
  test("the band's board, its report, each one's week and their log tell the same, today and days on", async () => {
    const groupId = (await groupsOf(services.db, studioId))[0]!.id;
    for (const ahead of [0, 2, 5]) {
      const then = { ...services, now: () => NOW + ahead * 86_400_000 };
      const board = await groupBoard(then, studioId, groupId);
      const period = { group: groupId, person: "", from: board.from, to: board.today };
      const report = await reportPage(then, studioId, period);
      expect(board.lines.some(({ minutes }) => minutes > 0)).toBe(true);
      for (const { id, name, days, minutes, items } of board.lines) {
        const told = report.lines.find((each) => each.id === id)!;
        const practised = days.filter((each) => each.minutes > 0);
        // A report tells whole minutes, by which a grade is reckoned.
        const counted = [name, Math.round(minutes), practised.length];
        expect([name, told.minutes, told.days]).toEqual(counted);
        const query = v.parse(logQuerySchema, { from: board.from, to: board.today });
        const { totals } = await logPage(then, studioId, id, query);
        expect([name, totals.minutes]).toEqual([name, expect.closeTo(minutes, 6)]);
        const { week, takes } = await weekPage(then, studioId, id);
        for (const each of week?.days ?? []) {
          const same = days.find(({ day }) => day === each.day);
          if (same) expect([name, each.played]).toEqual([name, same.minutes]);
        }
        // What was handed in, is late or missing is the same on the board and in the week.
        for (const item of items.filter(({ leftOut }) => leftOut === null)) {
          const own = Object.values(takes).find(({ takeId }) => takeId === item.takeId);
          if (item.takeId) expect(own?.state).toBe(item.state);
        }
        const missing = items.some(({ state }) => state === "missing");
        expect(Object.values(takes).some(({ state }) => state === "missing")).toBe(missing);
      }
    }
  });

  test("goes out, in, out and in again with the same rows, counts and pages", async () => {
    const { studioId: other, known } = await outAndIn(services, studioId, ROOM.teacher);
    await outAndIn(services, other, ROOM.teacher);
    const pages = async (room: string) => {
      const { lines: all } = await weekOf(services, room);
      const students = await Promise.all(all.map(({ id }) => studentPage(services, room, id)));
      // What was put away is known by words with an id among them.
      return JSON.stringify([all, students], (name, value) => (name === "key" ? "" : value));
    };
    expect(JSON.parse(await pages(other))).toEqual(
      withOwnIds(JSON.parse(await pages(studioId)), ownIds(other, known)),
    );
  }, 300_000);
});
