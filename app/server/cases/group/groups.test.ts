import { randomUUID } from "node:crypto";
import { beforeEach, expect, test } from "@jest/globals";
import { assignmentsOf, keptLadders, laddersOf, passagesOfPerson, writeWeek } from "~/db/queries";
import { bpm } from "~/core/units";
import { newItem } from "~/core/week";
import { EventWriter, furnishedRoom, ladder } from "../../test/room";
import { addByHand } from "../week/by-hand";
import { groupBoard } from "./group-board";
import { groupPage, setGroupItem, takeBackItem, writeGroup } from "./groups";
import { lessonPage } from "../week/lesson";
import { keepWeek, setWeek } from "../week/set-week";
import { weekPage } from "../week/student-week";
import { keepInLibrary } from "../give/library";
import { addMany } from "../people/many-students";
import { appendEvents } from "../session/append-events";
import { ask } from "../record/questions";
import { barsNamed, rehearsalPage } from "./rehearsal";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
let [groupId, itemId] = ["", ""];
let ada: string;
let ben: string;
beforeEach(async () => {
  room = await furnishedRoom();
  [groupId, itemId] = [randomUUID(), randomUUID()];
  const [first, second] = await addMany(room.services, room.studioId, [
    { name: "Ada", instrument: "viola" },
    { name: "Ben", instrument: "" },
  ]);
  [ada, ben] = [first!.id, second!.id];
  await write([ada, ben]);
}, 60_000);

const formOf = (fields: Readonly<Record<string, string>>, members: readonly string[]) => {
  const form = new FormData();
  for (const [key, value] of Object.entries(fields)) form.set(key, value);
  for (const member of members) form.append("member", member);
  return form;
};

const write = (members: readonly string[], name = "The Strings") =>
  writeGroup(room.services, room.studioId, groupId, formOf({ name, kind: "section" }, members));

const asked = (change: Readonly<Record<string, string>> = {}) => ({
  ...{ id: itemId, kind: "piece", title: "The Ferry, bars 5–8", focus: "", note: "" },
  ...{ times: "5", minutes: "10", bring: "recording", until: "2026-05-10" },
  ...{ pieceId: room.pieceId, fromBar: "5", toBar: "8", target: "90", keptLadderId: "" },
  ...change,
});
const set = (
  change: Readonly<Record<string, string>> = {},
  members: readonly string[] = [ada, ben],
) => setGroupItem(room.services, room.studioId, groupId, formOf(asked(change), members));

const board = () => groupBoard(room.services, room.studioId, groupId);
const itemsOf = async (personId: string) => {
  const [week] = await assignmentsOf(room.services.db, room.studioId, personId, 1);
  return week?.text.items ?? [];
};

test("what is set lands in each one's week with a passage and ladder of their own; one is left out", async () => {
  expect(await set({}, [ada])).toMatchObject({ ok: true });
  const [item] = await itemsOf(ada);
  expect(item).toMatchObject({ title: "The Ferry, bars 5–8", goalTempo: 90, due: "2026-05-10" });
  const [passage] = await passagesOfPerson(room.services.db, room.studioId, ada);
  expect(passage).toMatchObject({ id: item!.passageId, fromBar: 5, toBar: 8 });
  // Nothing is known of Ada: six tenths of the target.
  expect(passage!.ladder).toMatchObject({
    start: 54,
    target: 90,
    startRule: { kind: "comfortable" },
  });
  expect(await itemsOf(ben)).toEqual([]);
  const { lines } = await board();
  expect(lines.map(({ name, items }) => [name, items[0]!.state, items[0]!.leftOut])).toEqual([
    ["Ada", "open", null],
    ["Ben", "left-out", "by-you"],
  ]);
});

const DAY_MS = 86_400_000;

/** A week of theory that Ada's teacher sets, the newest she has being read before. */
const setsTheory = async (from: string, until: string) => {
  const { services, studioId } = room;
  const own = newItem(services.newId(), { kind: "theory", title: "Sheet 3", bring: "recording" });
  const text = { items: [own], word: "", shape: null };
  const { draft } = await lessonPage(services, studioId, ada);
  const week = { version: 0, after: draft.after, from, until, text, decisions: {} };
  expect(await setWeek(services, studioId, ada, week)).toMatchObject({ ok: true });
};
const weeksOf = (personId: string) => assignmentsOf(room.services.db, room.studioId, personId, 5);

test("it comes into a week that is on from that day, and into the one that is prepared until it is due", async () => {
  const { services, studioId, clock } = room;
  await setsTheory("2026-05-04", "2026-05-11");
  clock.now += 2 * DAY_MS;
  await setsTheory("2026-05-11", "2026-05-18");
  await set({ until: "2026-05-15" }, [ada]);
  const [ahead, on] = await weeksOf(ada);
  const [, later] = ahead!.text.items;
  const [, now] = on!.text.items;
  expect(now).toMatchObject({ since: "2026-05-06", origin: "new", due: "2026-05-15" });
  expect(later).toMatchObject({ id: now!.id, since: null, origin: "carried", due: "2026-05-15" });

  // Days that were over did not ask for it, and the goal is what the days ask.
  const { week } = await weekPage(services, studioId, ada);
  const askedOn = (id: string) =>
    week!.days.flatMap(({ day, asked }) => (asked.some((e) => e.itemId === id) ? [day] : []));
  expect(askedOn(now!.id)[0]).toBe("2026-05-06");
  expect(askedOn(on!.text.items[0]!.id)[0]).toBe("2026-05-04");
  const minutes = week!.days.flatMap(({ asked }) => asked.map((each) => each.minutes));
  expect(week!.asked.minutes).toBe(minutes.reduce((sum, each) => sum + each, 0));

  // What is changed or taken back is so in both.
  await set({ until: "2026-05-15", minutes: "12" }, [ada]);
  expect((await weeksOf(ada)).map(({ text }) => text.items[1])).toMatchObject([
    { minutes: 12, origin: "carried" },
    { minutes: 12, since: "2026-05-06" },
  ]);
  await takeBackItem(services, studioId, itemId);
  expect((await weeksOf(ada)).map(({ text }) => text.items.length)).toEqual([1, 1]);
});

test("what was done in a week before stays practised on the board; a minute of it doesn't count", async () => {
  const { services, studioId, clock } = room;
  await set({ bring: "nothing" }, [ada]);
  const [item] = await itemsOf(ada);
  const state = async () => (await board()).lines.find(({ id }) => id === ada)!.items[0]!.state;
  const says = async (minutes: string) => {
    const said = { id: services.newId(), minutes, daysAgo: "0", itemId: item!.id };
    expect(await addByHand(services, studioId, ada, formOf(said, []))).toMatchObject({ ok: true });
  };
  await says("1");
  expect(await state()).toBe("not-practised");
  await says("9");
  expect(await state()).toBe("practised");
  clock.now += DAY_MS;
  await setsTheory("2026-05-05", "2026-05-12");
  expect(await state()).toBe("practised");
});

test("what is taken back on a later day stays asked on the days before", async () => {
  const { services, studioId, clock } = room;
  await set({ until: "2026-05-10" }, [ada]);
  clock.now += 2 * DAY_MS;
  await takeBackItem(services, studioId, itemId);
  const { week } = await weekPage(services, studioId, ada);
  const asked = week!.days.flatMap(({ day, asked }) => (asked.length > 0 ? [day] : []));
  expect(asked).toEqual(["2026-05-04", "2026-05-05"]);
  expect(week!.items).toMatchObject([{ until: "2026-05-06" }]);
});

test("a week that is being put together has it as well, and nothing of it counts as finished", async () => {
  const { services, studioId, clock } = room;
  await setsTheory("2026-05-04", "2026-05-11");
  clock.now += 2 * DAY_MS;
  const { draft } = await lessonPage(services, studioId, ada);
  const { from, until, text, after } = draft;
  const week = { version: 0, after, from, until, text, decisions: {} };
  expect(await keepWeek(services, studioId, ada, week)).toMatchObject({ ok: true });
  await set({ until: "2026-05-09" }, [ada]);
  const drafted = async () => (await lessonPage(services, studioId, ada)).draft;
  expect((await drafted()).text.items).toMatchObject([
    { title: "Sheet 3" },
    { title: "The Ferry, bars 5–8", origin: "carried", since: null },
  ]);
  expect(await drafted()).toMatchObject({ kept: true, version: 2 });
  await takeBackItem(services, studioId, itemId);
  expect((await drafted()).text.items).toHaveLength(1);
});

test("where the lesson is late the week goes on to the next one, and what was due stays due", async () => {
  const { services, studioId, clock } = room;
  // Saturdays; 4 May is a Monday.
  const times = { windows: [], lesson: { weekday: 5, from: "15:00", minutes: 45 } };
  const db = services.db;
  await db.execute("update person set times = $1::jsonb where id = $2", [
    JSON.stringify(times),
    ada,
  ]);
  await setsTheory("2026-05-04", "2026-05-06");
  clock.now += 3 * DAY_MS;
  await set({ until: "2026-05-20" }, [ada, ben]);
  const [week, ...others] = await weeksOf(ada);
  expect(others).toEqual([]);
  expect(week).toMatchObject({ from_day: "2026-05-04", until_day: "2026-05-09" });
  expect(week!.text.items).toMatchObject([
    { title: "Sheet 3", due: "2026-05-06" },
    { since: "2026-05-07", due: "2026-05-20" },
  ]);
  // At the lesson it is carried over as long as it is due.
  clock.now += 2 * DAY_MS;
  const { draft } = await lessonPage(services, studioId, ada);
  expect(draft.text.items.map(({ due, since }) => [due, since])).toEqual([
    [null, null],
    ["2026-05-20", null],
  ]);
  // Without a lesson's day a first week lasts until it is due.
  expect(await weeksOf(ben)).toMatchObject([{ from_day: "2026-05-07", until_day: "2026-05-20" }]);
});

test("a later change reaches those who have theirs as it was given, with its ladder; others keep theirs", async () => {
  await set();
  const [week] = await assignmentsOf(room.services.db, room.studioId, ben, 1);
  const items = week!.text.items.map((item) => ({ ...item, minutes: 4 }));
  const to = { until: week!.until_day, items };
  await writeWeek(room.services.db, room.studioId, week!, to, week!.from_day);
  await set({ minutes: "15", target: "100" });
  expect(await itemsOf(ada)).toMatchObject([{ minutes: 15, goalTempo: 100 }]);
  expect(await itemsOf(ben)).toMatchObject([{ minutes: 4, goalTempo: 90 }]);
  const { lines } = await board();
  expect(lines.map(({ items: of }) => of[0]!.keptTheirs)).toEqual([false, true]);
  const [passage] = await passagesOfPerson(room.services.db, room.studioId, ada);
  const ladders = await laddersOf(room.services.db, room.studioId, passage!.id);
  expect(ladders.map(({ ladder }) => ladder.target)).toEqual([90, 100]);

  await takeBackItem(room.services, room.studioId, itemId);
  expect(await itemsOf(ada)).toEqual([]);
  expect(await itemsOf(ben)).toHaveLength(1);
});

test("left out afterwards, it goes out of their week; whoever comes to the group later gets it", async () => {
  await set();
  await set({}, [ada]);
  expect(await itemsOf(ben)).toEqual([]);
  await write([ada, ben, room.personId]);
  expect(await itemsOf(room.personId)).toMatchObject([{ title: "The Ferry, bars 5–8" }]);
  // Ben was left out on purpose, and stays so.
  expect(await itemsOf(ben)).toEqual([]);
});

test("nothing to play comes to somebody who stopped for pain; the board says why", async () => {
  const { services, studioId, personId } = room;
  const { sessionId } = await room.begin();
  const stand = new EventWriter();
  stand.write("opened");
  stand.plays(60, "f");
  stand.write("ended", { how: "pain" });
  await appendEvents(services, studioId, sessionId, stand.events);
  await write([ada, personId]);
  await set({}, [ada, personId]);
  const { lines } = await board();
  const hurt = lines.find(({ id }) => id === personId)!;
  expect(hurt).toMatchObject({ hurt: true, items: [{ state: "left-out", leftOut: "hurt" }] });
});

test.each([
  [{ until: "2026-05-04" }, { until: "That day is over. Choose one ahead." }],
  [{ until: "2027-05-04" }, { until: "At most 60 days ahead." }],
  [{ toBar: "99" }, { toBar: "The piece has 16 bars." }],
  [{ toBar: "4" }, { toBar: "Say to which bar, no earlier than the first." }],
  [{ target: "900" }, { target: "Tempi go from 10 to 400 bpm." }],
  [{ title: " " }, { title: "Give it a name." }],
])("%j is refused at its field, and nothing is written", async (change, errors) => {
  const done = await set(change);
  expect(done).toMatchObject({ ok: false, error: { errors } });
  expect(await itemsOf(ada)).toEqual([]);
});

test("a way up that can't be climbed is refused at its field; the slowest target begins at the slowest tempo", async () => {
  const { services, studioId } = room;
  const [phase] = ladder().phases;
  const high = { ...ladder(), phases: [{ ...phase!, start: bpm(100), target: null }] };
  await keepInLibrary(services, studioId, { name: "High up", ladder: high });
  const [kept] = await keptLadders(services.db, studioId);
  const refused = await set({ keptLadderId: kept!.id, target: "60" });
  expect(refused).toMatchObject({
    ok: false,
    error: { errors: { keptLadderId: expect.stringContaining("This way up doesn't fit here") } },
  });
  expect(await set({ target: "12" })).toMatchObject({ ok: true });
  const [passage] = await passagesOfPerson(services.db, studioId, ada);
  expect(passage!.ladder).toMatchObject({ target: 12 });
});

test("a student of another room can't be taken in, nor a name be had twice", async () => {
  await expect(write(["00000000-0000-4000-8000-0000000000ff"])).rejects.toMatchObject({
    kind: "not-found",
  });
  const form = formOf({ name: "The Strings", kind: "class" }, []);
  expect(await writeGroup(room.services, room.studioId, randomUUID(), form)).toMatchObject({
    ok: false,
    error: { errors: { name: "There is a group of this name." } },
  });
  const { group } = await groupPage(room.services, room.studioId, groupId);
  expect(group.members.toSorted()).toEqual([ada, ben].toSorted());
});

test("in three groups, all of it lands, and the board says that the minutes don't hold it", async () => {
  const times = { windows: [{ weekday: 0, from: "17:00", minutes: 30 }], lesson: null };
  await room.services.db.execute("update person set times = $1::jsonb where id = $2", [
    JSON.stringify(times),
    ada,
  ]);
  for (const n of [1, 2, 3]) {
    const change = { id: randomUUID(), fromBar: `${n}`, toBar: "8" };
    expect(await set({ ...change, title: `Bars from ${n}` })).toMatchObject({ ok: true });
  }
  const [line] = (await board()).lines;
  expect(await itemsOf(ada)).toHaveLength(3);
  expect(line!.tooMuch).toEqual({ asked: 30, there: 24, falls: [] });
  // One more, and something falls out: by its name.
  expect(
    await set({ id: randomUUID(), fromBar: "4", toBar: "8", title: "Four", minutes: "30" }),
  ).toMatchObject({ ok: true });
  const [full] = (await board()).lines;
  expect(full!.tooMuch!.falls.length).toBeGreaterThan(0);
  const titles = (await itemsOf(ada)).map(({ title }) => title);
  for (const title of full!.tooMuch!.falls) expect(titles).toContain(title);
});

test("before rehearsal: bars that fail for many, and questions by the bars that they name", async () => {
  expect(barsNamed("In bar 12, tongue or slur?")).toEqual({ fromBar: 12, toBar: 12 });
  expect(barsNamed("Bars 13–14: breathe?")).toEqual({ fromBar: 13, toBar: 14 });
  expect(barsNamed("How long is the fermata?")).toBeUndefined();
  const { services, studioId, personId } = room;
  const { sessionId } = await room.begin();
  const stand = new EventWriter();
  stand.write("opened");
  stand.plays(60, "ccfcf", 7);
  await appendEvents(services, studioId, sessionId, stand.events);
  await ask(services, studioId, personId, { act: "ask", id: itemId, text: "Is bar 7 slurred?" });
  await ask(services, studioId, ben, { act: "ask", id: groupId, text: "Bar 2?" });
  await write([ada, personId]);
  const page = await rehearsalPage(services, studioId, groupId, undefined);
  expect(page).toMatchObject({ players: 1, runs: [{ fromBar: 7, toBar: 7, worst: { told: 1 } }] });
  expect(page.bars[6]!.together!.value).toBeGreaterThan(0);
  expect(page.questions).toMatchObject([{ text: "Is bar 7 slurred?", bars: { fromBar: 7 } }]);
});

test("a group of two hundred has what is set for it, each in their own week; one more is refused", async () => {
  const many = Array.from({ length: 200 }, (_, n) => ({ name: `Player ${n + 1}`, instrument: "" }));
  const ids = (await addMany(room.services, room.studioId, many)).map(({ id }) => id);
  expect(await write([...ids, ada])).toMatchObject({
    ok: false,
    error: { errors: { member: expect.any(String) } },
  });
  expect(await write(ids)).toMatchObject({ ok: true });
  expect(await set({}, ids)).toMatchObject({ ok: true });
  const { lines } = await board();
  expect(lines).toHaveLength(200);
  expect(lines.every(({ items }) => items[0]!.state === "open")).toBe(true);
  expect(await itemsOf(ids.at(-1)!)).toMatchObject([{ title: "The Ferry, bars 5–8" }]);
}, 60_000);
