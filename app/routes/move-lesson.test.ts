import { randomUUID } from "node:crypto";
import { beforeEach, expect, test } from "@jest/globals";
import ICAL from "ical.js";
import { newItem } from "~/core/week";
import { addDays } from "~/core/units";
import { calendarWords } from "~/words/calendar";
import { furnishedRoom } from "~/server/test/room";
import { setAway } from "~/server/cases/week/away";
import { weekCalendar } from "~/server/cases/week/calendar";
import { lessonPage } from "~/server/cases/week/lesson";
import { moveLesson } from "~/server/cases/week/move-lesson";
import { keepWeek, setWeek } from "~/server/cases/week/set-week";
import { weekPage } from "~/server/cases/week/student-week";
import { chooseTimes } from "~/server/cases/week/times";
import { weekOf } from "~/server/cases/week/board";

const MONDAY = "2026-05-04";
const DAY_MS = 86_400_000;
const on = (days: number) => addDays(MONDAY, days);

let room: Awaited<ReturnType<typeof furnishedRoom>>;
const formOf = (fields: Readonly<Record<string, string>>) => {
  const form = new FormData();
  for (const [key, value] of Object.entries(fields)) form.set(key, value);
  return form;
};
const item = () =>
  newItem(randomUUID(), {
    ...{ title: "Ferry", passageId: room.passageId, minutes: 8, bring: "recording" },
  });
const week = (from: string, until: string, after: string | null) => ({
  ...{ version: 0, after, from, until, decisions: {} },
  text: {
    items: [item()],
    word: "",
    shape: null,
  },
});
beforeEach(async () => {
  room = await furnishedRoom();
  const { services, studioId, personId } = room;
  const lesson = { weekday: 0, from: "16:00", minutes: 45 };
  const windows = [1, 2, 3, 4, 5, 6].map((weekday) => ({ weekday, from: "17:00", minutes: 20 }));
  const times = { windows, lesson, dates: [], limits: null };
  const form = formOf({ times: JSON.stringify(times) });
  expect((await chooseTimes(services, studioId, personId, form, true)).ok).toBe(true);
  const set = await setWeek(services, studioId, personId, week(MONDAY, on(7), null));
  expect(set.ok).toBe(true);
}, 60_000);

const move = (day: string) =>
  moveLesson(room.services, room.studioId, room.personId, formOf({ day }));
const page = () => weekPage(room.services, room.studioId, room.personId);
const lesson = () => lessonPage(room.services, room.studioId, room.personId);

test("a lesson is moved once: week, board, calendar and lesson follow, the weekly times stay", async () => {
  room.clock.now += 2 * DAY_MS;
  expect((await move(on(9))).ok).toBe(true);
  const { week: told, lesson: time } = await page();
  expect([told!.from, told!.until]).toEqual([MONDAY, on(9)]);
  expect(told!.days).toHaveLength(9);
  expect(time).toMatchObject({ weekday: 0 });
  const [line] = (await weekOf(room.services, room.studioId)).lines;
  expect(line).toMatchObject({ until: on(9), canMove: true });
  const text = await weekCalendar(room.services, room.studioId, room.personId, calendarWords);
  const lessons = new ICAL.Component(ICAL.parse(text))
    .getAllSubcomponents("vevent")
    .map((event) => String(event.getFirstPropertyValue("uid")))
    .filter((uid) => uid.includes("lesson"));
  expect(lessons).toEqual([`${room.personId}-lesson-${on(9)}@fidus`]);
  expect((await lesson()).last).toMatchObject({ until: on(9) });
  // What is to be handed in at the lesson is due on its new day.
  const { week: withTake, takes } = await page();
  expect(withTake!.items.map(({ id }) => takes[id]?.due)).toEqual([on(9)]);
});

test("a week that is prepared begins at the moved lesson, and no day is asked by two weeks", async () => {
  room.clock.now += 5 * DAY_MS;
  const { draft } = await lesson();
  const prepared = week(on(7), on(14), draft.after);
  const kept = await setWeek(room.services, room.studioId, room.personId, prepared);
  expect(kept.ok).toBe(true);
  expect((await move(on(8))).ok).toBe(true);
  const spans = () => page().then(({ weeks }) => weeks.map(({ from, until }) => [from, until]));
  expect(await spans()).toEqual([
    [on(8), on(14)],
    [MONDAY, on(8)],
  ]);
  const ahead = (await page()).weeks[0]!;
  const next = await weekPage(room.services, room.studioId, room.personId, ahead.id);
  expect(next.week!.days.map(({ asked }) => asked.length)).toEqual([1, 1, 1, 1, 1, 1]);
  expect(next.changes).toEqual([]);
  expect(await move(on(15))).toMatchObject({ error: { errors: { day: expect.any(String) } } });
  expect(await spans()).toHaveLength(2);
});

test("the draft begins at the moved lesson; a day in the past is refused", async () => {
  const { services, studioId, personId } = room;
  room.clock.now += 5 * DAY_MS;
  const { draft } = await lesson();
  await keepWeek(services, studioId, personId, week(on(7), on(14), draft.after));
  await move(on(6));
  expect((await lesson()).draft).toMatchObject({ kept: true, from: on(6) });
  expect(await move(on(4))).toMatchObject({ error: { errors: { day: expect.any(String) } } });
});

test("who is away is asked nothing and has missed nothing", async () => {
  const { services, studioId, personId } = room;
  room.clock.now += DAY_MS;
  const away = (from: string, until: string) =>
    setAway(services, studioId, personId, formOf({ from, until }));
  expect((await away(on(2), on(4))).ok).toBe(true);
  const asked = async () => (await page()).week!.days.map(({ asked: items }) => items.length);
  expect((await asked()).slice(2, 5)).toEqual([0, 0, 0]);
  room.clock.now += 5 * DAY_MS;
  expect((await asked()).slice(2, 5)).toEqual([0, 0, 0]);
  expect(await away(on(1), on(7))).toMatchObject({
    error: { errors: { from: expect.any(String) } },
  });
  expect(await away(on(9), on(8))).toMatchObject({
    error: { errors: { until: expect.any(String) } },
  });
});
