import { beforeEach, expect, test } from "@jest/globals";
import { newItem } from "~/core/week";
import { assignmentsOf, studentById } from "~/db/queries";
import { furnishedRoom } from "../../test/room";
import { giveWeek } from "../give/give-week";
import { addMany } from "./many-students";
import { setWeek } from "../week/set-week";
import { setPreparedWeeks, setTimesOfSeveral, severalPage } from "./several-students";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
let ids: string[];
beforeEach(async () => {
  room = await furnishedRoom();
  const three = ["Ada", "Ben", "Cleo"].map((name) => ({ name, instrument: "harp" }));
  ids = (await addMany(room.services, room.studioId, three)).map(({ id }) => id);
}, 60_000);

const send = (to: readonly string[], fields: Readonly<Record<string, string | string[]>>) => {
  const form = new FormData();
  for (const id of to) form.append("to", id);
  for (const [name, value] of Object.entries(fields)) {
    for (const each of [value].flat()) form.append(name, each);
  }
  return setTimesOfSeveral(room.services, room.studioId, form);
};
const timesOf = async (id: string) =>
  (await studentById(room.services.db, room.studioId, id)).times;

test("times, lesson and limits are set for several; what is left empty stays", async () => {
  const [ada, ben, cleo] = ids as [string, string, string];
  expect(await send([ada, ben], { weekday: ["1", "3"], minutes: "25" })).toMatchObject({
    value: 2,
  });
  expect(await send([ada], { "lesson-day": "3", "lesson-from": "16:30" })).toMatchObject({
    ok: true,
  });
  expect(await send([ada, cleo], { limits: "child" })).toMatchObject({ ok: true });
  const windows = [1, 3].map((weekday) => ({ weekday, minutes: 25 }));
  expect(await timesOf(ada)).toMatchObject({
    ...{ windows, lesson: { weekday: 3, from: "16:30" }, limits: { day: 45 } },
  });
  expect(await timesOf(ben)).toMatchObject({ windows, lesson: null, limits: null });
  expect(await timesOf(cleo)).toMatchObject({ windows: [], limits: { day: 45 } });
  expect(await send([cleo], { limits: "none" })).toMatchObject({ ok: true });
  expect((await timesOf(cleo)).limits).toBeNull();
});

test("what can't be is refused with its field or its student, and nothing is half written", async () => {
  const [ada, ben] = ids as [string, string];
  const refused = async (fields: Parameters<typeof send>[1], to: readonly string[] = ids) => {
    const done = await send(to, fields);
    return done.ok ? [] : Object.keys(done.error.errors);
  };
  expect(await refused({ minutes: "20" })).toEqual(["minutes"]);
  expect(await refused({ weekday: "1", minutes: "900" })).toEqual(["minutes"]);
  expect(await refused({ "lesson-day": "2", "lesson-from": "half past" })).toEqual(["lesson-from"]);
  expect(await refused({})).toEqual(["minutes"]);
  expect(await refused({ limits: "none" }, [])).toEqual(["to"]);
  expect((await send([ben], { weekday: "0", minutes: "30" })).ok).toBe(true);
  // Ben practises at five on Mondays; Ada would have been first.
  const lesson = { "lesson-day": "0", "lesson-from": "17:00" };
  expect(await send([ada, ben], lesson)).toMatchObject({
    error: { errors: { form: /^Ben: .*overlaps/ } },
  });
  expect((await timesOf(ada)).lesson).toBeNull();
});

test("the weeks that are prepared are set in one press", async () => {
  const { services, studioId, personId } = room;
  const from = "2026-05-04";
  const item = newItem(services.newId(), { title: "Long notes", kind: "technique" });
  const week = { version: 0, after: null, from, until: "2026-05-11", decisions: {} };
  const text = { items: [item], word: "", shape: null };
  const set = await setWeek(services, studioId, personId, { ...week, text });
  if (!set.ok) throw new Error();
  const given = { to: ids, items: [item.id] };
  await giveWeek(services, studioId, { personId, weekId: set.value.id }, given);
  const { drafts } = await severalPage(services, studioId);
  expect(drafts.map(({ name, items }) => [name, items])).toEqual([
    ["Ada", 1],
    ["Ben", 1],
    ["Cleo", 1],
  ]);
  const assign = (some: readonly string[]) => {
    const form = new FormData();
    for (const id of some) form.append("week", id);
    return setPreparedWeeks(services, studioId, form);
  };
  expect(await assign([])).toMatchObject({ error: { errors: { week: /at least one/ } } });
  expect(await assign(ids.slice(0, 2))).toEqual({ ok: true, value: { assigned: 2, not: [] } });
  expect((await severalPage(services, studioId)).drafts.map(({ name }) => name)).toEqual(["Cleo"]);
  // Pressed twice, nothing is assigned again.
  expect(await assign(ids.slice(0, 2))).toMatchObject({ value: { assigned: 0 } });
  for (const id of ids.slice(0, 2)) {
    const [mine] = await assignmentsOf(services.db, studioId, id, 1);
    expect(mine!.text.items).toMatchObject([{ title: "Long notes" }]);
  }
}, 60_000);

test("a week that is on lasts until its lesson; assigned on that day, what it asked is decided", async () => {
  const { services, studioId, personId, clock } = room;
  const week = { version: 0, after: null, from: "2026-05-04", until: "2026-05-11", decisions: {} };
  const set = async (to: string, title: string) => {
    const item = newItem(services.newId(), { title, kind: "technique" });
    const text = { items: [item], word: "", shape: null };
    const done = await setWeek(services, studioId, to, { ...week, text });
    if (!done.ok) throw new Error(JSON.stringify(done.error));
    return { weekId: done.value.id, items: [item.id] };
  };
  const [ada, ben] = ids as [string, string];
  for (const id of [ada, ben]) await set(id, "Long notes");
  const given = await set(personId, "Scales");
  // On Wednesday, five days before their lesson.
  clock.now += 2 * 86_400_000;
  const to = { to: [ada, ben], items: given.items };
  await giveWeek(services, studioId, { personId, weekId: given.weekId }, to);
  const assign = (id: string) => {
    const form = new FormData();
    form.append("week", id);
    return setPreparedWeeks(services, studioId, form);
  };
  const weeksOf = async (id: string) =>
    (await assignmentsOf(services.db, studioId, id, 2)).map((each) => [
      ...[each.from_day, each.until_day],
      each.text.items.map(({ title, decision }) => `${title}: ${decision}`),
    ]);
  expect(await assign(ada)).toMatchObject({ value: { assigned: 1 } });
  expect(await weeksOf(ada)).toMatchObject([
    ["2026-05-11", "2026-05-18", ["Long notes: open", "Scales: open"]],
    ["2026-05-04", "2026-05-11", ["Long notes: carried"]],
  ]);
  clock.now += 5 * 86_400_000;
  expect(await assign(ben)).toMatchObject({ value: { assigned: 1 } });
  expect(await weeksOf(ben)).toEqual(await weeksOf(ada));
}, 60_000);
