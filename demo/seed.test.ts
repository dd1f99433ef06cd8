import { randomUUID } from "node:crypto";
import { mkdtemp, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "@jest/globals";
import * as v from "valibot";
import { RULE_NAMES } from "~/core/judge";
import { addDays, dayOf, daysBetween } from "~/core/units";
import { memoryDatabase } from "~/db/test/memory";
import { allStudios, groupsOf, LEFT_OUT, studentsOf } from "~/db/queries";
import { withOwnIds } from "~/server/archive/ids";
import { adviceOf } from "~/server/cases/advice";
import { logQuerySchema } from "~/forms/log";
import { groupBoard } from "~/server/cases/group-board";
import { logPage } from "~/server/cases/log";
import { openRoom } from "~/server/cases/open-room";
import { progressPage } from "~/server/cases/passage-pages";
import { reportPage } from "~/server/cases/report";
import { readRoomIn } from "~/server/cases/room-in";
import { roomAsZip } from "~/server/cases/room-out";
import { studentPage } from "~/server/cases/student-pages";
import { weekPage } from "~/server/cases/student-week";
import { todayPage } from "~/server/cases/today";
import { weekOf } from "~/server/cases/week";
import { takesAside } from "~/server/test/takes-aside";
import { workHere } from "~/server/score/work";
import { UNTOLD } from "~/server/test/told";
import { roomRows } from "~/server/test/room-rows";
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
  services = { db, now: () => NOW, newId: randomUUID, scores: workHere(), takes: takesAside() };
  await seedDemo(services, process.cwd());
  studioId = (await allStudios(services.db))[0]!.id;
  lines = (await weekOf(services, studioId)).lines;
}, 300_000);
afterAll(() => services.db.close());

const line = (name: string) => lines.find((each) => each.name.startsWith(name))!;
const kinds = (name: string) => line(name).looks.map(({ kind }) => kind);

describe("the demo music room", () => {
  test("has six students and at least eight pieces with passages", async () => {
    // Players of the band stand on its own board, but for one who stopped for pain.
    expect(lines.filter(({ inGroup }) => !inGroup)).toHaveLength(6);
    expect(lines.filter(({ inGroup }) => inGroup)).toMatchObject([{ name: "Rufus Dray" }]);
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

  test("shows each rule of advice, true to its data", async () => {
    const everyone = await studentsOf(services.db, studioId);
    const sees = await Promise.all(
      everyone.map(async ({ id }) => (await adviceOf(services, studioId, id)).sees),
    );
    expect(new Set(sees.flat().map(({ rule }) => rule))).toEqual(new Set(RULE_NAMES));
  });

  test("shows someone silent, someone sore, someone stuck and someone thriving", async () => {
    expect(kinds("Petra")).toEqual(["silent"]);
    expect(kinds("Yusuf")).toEqual(["pain"]);
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
  let folder: string;
  beforeAll(async () => {
    folder = await mkdtemp(path.join(tmpdir(), "fidus-room-"));
  });
  afterAll(() => rm(folder, { recursive: true }));

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

  test("comes into an empty room with the same rows, counts and pages", async () => {
    const file = path.join(folder, "room.zip");
    const zip = await new Response(roomAsZip(services, UNTOLD, studioId)).arrayBuffer();
    await writeFile(file, new Uint8Array(zip));
    const opened = await openRoom(services, {
      room: "Empty",
      teacher: ROOM.teacher,
      self: true,
      name: "",
      instrument: "",
      timeZone: "UTC",
    });
    if (!opened.ok) throw new Error(opened.error.signIn);
    const { studioId: other, teacherId } = opened.value;
    const reader = { id: teacherId, name: ROOM.teacher };
    expect(await readRoomIn(services, other, reader, file)).toEqual({
      ok: true,
      value: { name: ROOM.name },
    });

    const was = await roomRows(services.db, studioId);
    const { id: teacher } = JSON.parse(was.person!.find((row) => row.includes('"teacher"'))!);
    const own = withOwnIds(
      other,
      new Map([
        [studioId, other],
        [teacher, teacherId],
      ]),
    );
    const is = await roomRows(services.db, other);
    expect(Object.keys(is)).toEqual(Object.keys(was));
    for (const [table, rows] of Object.entries(was)) {
      // What never goes out with a room stays where it is.
      expect(is[table]).toEqual(table in LEFT_OUT ? [] : rows.map(own).sort());
    }
    const pages = async (room: string) => {
      const { lines: all } = await weekOf(services, room);
      const students = await Promise.all(all.map(({ id }) => studentPage(services, room, id)));
      return JSON.stringify([all, students]);
    };
    expect(JSON.parse(await pages(other))).toEqual(JSON.parse(own(await pages(studioId))));
    expect(await readRoomIn(services, other, reader, file)).toMatchObject({
      ok: false,
      error: expect.stringMatching("empty"),
    });
  }, 300_000);
});
