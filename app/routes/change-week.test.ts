import { randomUUID } from "node:crypto";
import { beforeEach, expect, test } from "@jest/globals";
import { newItem, type AssignmentItem } from "~/core/week";
import { addDays, parseKey } from "~/core/units";
import { furnishedRoom } from "~/server/test/room";
import { actOnToday } from "~/server/cases/week/act-on-today";
import { addByHand } from "~/server/cases/week/by-hand";
import { changeWeek, changeWeekPage, readWeekChange } from "~/server/cases/week/change-week";
import { lessonPage } from "~/server/cases/week/lesson";
import { setWeek } from "~/server/cases/week/set-week";
import { sheetPage } from "~/server/cases/week/sheet";
import { weekPage } from "~/server/cases/week/student-week";
import { todayPage } from "~/server/cases/week/today";
import { weekOf } from "~/server/cases/week/board";

const MONDAY = "2026-05-04";
const WEDNESDAY = "2026-05-06";
const DAY_MS = 86_400_000;

let room: Awaited<ReturnType<typeof furnishedRoom>>;
let scales: AssignmentItem;
let ferry: AssignmentItem;
beforeEach(async () => {
  room = await furnishedRoom();
  scales = newItem(randomUUID(), {
    ...{ title: "Scales", kind: "technique", minutes: 8 },
    keys: [parseKey("C")!, parseKey("G")!],
  });
  ferry = newItem(randomUUID(), { passageId: room.passageId, title: "Ferry", minutes: 10 });
  const { services, studioId, personId } = room;
  const text = { items: [scales, ferry], word: "", shape: null };
  const week = { version: 0, after: null, from: MONDAY, until: "2026-05-11" };
  const set = await setWeek(services, studioId, personId, { ...week, text, decisions: {} });
  expect(set.ok).toBe(true);
}, 60_000);

const opened = () => changeWeekPage(room.services, room.studioId, room.personId);
const change = async (items: readonly AssignmentItem[], stamp?: string) =>
  changeWeek(
    room.services,
    { studioId: room.studioId, personId: room.personId, tell: true },
    { stamp: stamp ?? (await opened()).week!.stamp, items: [...items] },
  );
const week = () => weekPage(room.services, room.studioId, room.personId);
const today = () => todayPage(room.services, room.studioId, room.personId);
const toWednesday = () => void (room.clock.now += 2 * DAY_MS);
const byHand = (minutes: number) => {
  const form = new FormData();
  form.set("id", randomUUID());
  form.set("minutes", String(minutes));
  form.set("daysAgo", "0");
  form.set("itemId", scales.id);
  return addByHand(room.services, room.studioId, room.personId, form);
};

test("a week changed on Wednesday asks anew from then on, and every page tells the same", async () => {
  await byHand(9);
  toWednesday();
  const before = (await week()).week!;
  const song = newItem(randomUUID(), { title: "A song", minutes: 5 });
  expect((await change([{ ...scales, minutes: 4 }, song])).ok).toBe(true);

  const { week: after, changes } = await week();
  expect([after!.from, after!.until]).toEqual([before.from, before.until]);
  const asks = (of: typeof before, day: string) =>
    of.days.find((each) => each.day === day)!.asked.map(({ itemId, minutes }) => [itemId, minutes]);
  for (const day of [MONDAY, addDays(MONDAY, 1)]) {
    expect(asks(after!, day)).toEqual(asks(before, day));
  }
  for (const day of [WEDNESDAY, addDays(WEDNESDAY, 3)]) {
    expect(asks(after!, day)).toEqual([
      [scales.id, 4],
      [song.id, 5],
    ]);
  }
  // What was done before stays done.
  expect(after!.items.find(({ id }) => id === scales.id)!.practised).toMatchObject([
    { day: MONDAY, minutes: 9, done: true },
  ]);
  expect(changes.map(({ day, what, item }) => [day, what, item.title])).toEqual(
    expect.arrayContaining([
      [WEDNESDAY, "changed", "Scales"],
      [WEDNESDAY, "added", "A song"],
      [WEDNESDAY, "withdrawn", "Ferry"],
    ]),
  );

  const { asked } = await today();
  expect(asked.map(({ itemId, minutes }) => [itemId, minutes])).toEqual(asks(after!, WEDNESDAY));
  const [line] = (await weekOf(room.services, room.studioId)).lines;
  expect(line!.days.map((each) => each.asked)).toEqual(
    after!.days.map((each) => each.asked.reduce((sum, { minutes }) => sum + minutes, 0)),
  );
  const sheet = await sheetPage(room.services, room.studioId, room.personId, after!.id!);
  const onSheet = sheet.items.find(({ id }) => id === scales.id)!;
  expect(onSheet.asked).toEqual(
    after!.days.map((each) => each.asked.find(({ itemId }) => itemId === scales.id)?.minutes ?? 0),
  );
  // The lesson stays the lesson, and the keys go on from the week's first day.
  const lesson = await lessonPage(room.services, room.studioId, room.personId);
  expect(lesson.last).toMatchObject({ from: MONDAY, until: "2026-05-11" });
  expect(after!.items.find(({ id }) => id === scales.id)!.key).toBe(
    before.items.find(({ id }) => id === scales.id)!.key,
  );
});

test("the student is told once, of what was changed since they looked", async () => {
  toWednesday();
  expect((await today()).changes).toEqual([]);
  await change([{ ...scales, minutes: 4 }, ferry]);
  expect((await today()).changes).toMatchObject([{ what: "changed", item: { title: "Scales" } }]);
  const seen = new FormData();
  seen.set("act", "seen-change");
  await actOnToday(room.services, room.studioId, room.personId, seen);
  expect((await today()).changes).toEqual([]);
  // Taken back on the same day, the week says nothing of it.
  await change([scales, ferry]);
  expect((await week()).changes).toEqual([]);
});

test("over what somebody else has changed, with nothing in it, or with another's passage it is refused", async () => {
  toWednesday();
  const { week: read } = await opened();
  await change([{ ...scales, minutes: 4 }]);
  expect(await change([scales], read!.stamp)).toMatchObject({
    error: { errors: { form: expect.stringContaining("Reload") } },
  });
  expect(await change([])).toMatchObject({ error: { errors: { form: expect.any(String) } } });
  expect(await change([{ ...ferry, passageId: randomUUID() }])).toMatchObject({
    error: { errors: { "text.items.0.title": expect.any(String) } },
  });
  const twice = new FormData();
  twice.set("week", JSON.stringify({ stamp: read!.stamp, items: [scales, scales] }));
  expect(readWeekChange(twice)).toMatchObject({
    error: { errors: { "text.items": "One item is listed twice." } },
  });
  const form = new FormData();
  form.set("week", JSON.stringify({ stamp: read!.stamp, items: [{ ...scales, minutes: 0 }] }));
  expect(readWeekChange(form)).toMatchObject({
    error: { errors: { "text.items.0.minutes": "At least 1 minute." } },
  });
  expect((await week()).week!.items.map(({ minutes }) => minutes)).toContain(4);
});
