import { createHash, randomUUID } from "node:crypto";
import { expect, test } from "@jest/globals";
import { addDays } from "~/core/units";
import { newItem, type AssignmentItem } from "~/core/week";
import { furnishedRoom, NOON } from "../../test/room";
import { aWav } from "../../test/sounds";
import {
  answersFor,
  answerTo,
  commentOn,
  handIn,
  handInsOf,
  spokenSound,
  waitingPage,
} from "./hand-ins";
import { lessonPage } from "../week/lesson";
import { todayPage } from "../week/today";
import { setWeek } from "../week/set-week";
import { rateBy } from "./rating-scale";
import { weekPage } from "../week/student-week";
import { dropTake, keepTake, keepTakesFor, sweepTakes, takeMore, takePage } from "./takes";

const DAY = "2026-05-04";
const DAY_MS = 86_400_000;

const form = (fields: Record<string, string>) => {
  const made = new FormData();
  for (const [name, value] of Object.entries(fields)) made.set(name, value);
  return made;
};

async function roomWithWeek(change: Partial<AssignmentItem>) {
  const room = await furnishedRoom();
  const { services, studioId, personId, passageId } = room;
  const item = newItem(randomUUID(), { title: "The Ferry, bars 5–8", passageId, ...change });
  const text = { items: [item], word: "", shape: null };
  const week = { version: 0, after: null, from: DAY, until: addDays(DAY, 7), text, decisions: {} };
  expect((await setWeek(services, studioId, personId, week)).ok).toBe(true);
  const { sessionId } = await room.begin();
  const record = async () => {
    const takeId = randomUUID();
    const sound = aWav();
    const take = {
      play: randomUUID(),
      passage: passageId,
      at: NOON,
      tempo: 60,
      rung: 0,
      mediaType: "audio/wav" as const,
      from: 0,
      until: 12,
      bars: [5, 6].map((bar) => ({ bar, at: bar - 4, duration: 1, beats: [bar - 4] })),
      placedBy: "heard" as const,
      roundTrip: 0.1,
      gaps: false,
      cutOff: false,
      headphones: false,
      peaks: "",
    };
    const of = { studioId, sessionId, takeId };
    await takeMore(services, of, 0, sound);
    const hash = createHash("sha256").update(sound).digest("hex");
    expect((await keepTake(services, of, { take, bytes: sound.length, hash })).ok).toBe(true);
    return takeId;
  };
  const give = (takeId: string, line = "") =>
    handIn(services, studioId, takeId, form({ id: randomUUID(), item: item.id, line }));
  return { ...room, item, record, give };
}

test("a take is handed in, exchanged, heard bar by bar, sent back, and handed in again", async () => {
  const { services, studioId, personId, clock, record, give } = await roomWithWeek({
    bring: "recording",
  });
  const [first, second] = [await record(), await record()];
  expect((await handInsOf(services, studioId, first)).asks).toMatchObject([
    { title: "The Ferry, bars 5–8", due: addDays(DAY, 7) },
  ]);
  expect((await give(first, "the third try")).ok).toBe(true);
  // The form says that it replaces another, or that nothing is left to do.
  const asks = async (takeId: string) =>
    (await handInsOf(services, studioId, takeId)).asks.map(({ replaces }) => replaces?.getTime());
  expect(await asks(first)).toEqual([]);
  expect(await asks(second)).toEqual([clock.now]);
  expect((await give(second)).ok).toBe(true);
  const waits = async () =>
    (await waitingPage(services, studioId)).waiting.map(({ takeId, late }) => [takeId, late]);
  expect(await waits()).toEqual([[second, false]]);
  expect((await handInsOf(services, studioId, first)).handedIn).toEqual([]);
  // What is handed in is kept until the school year ends.
  const kept = await takePage(services, studioId, second, { listener: personId });
  expect(kept.take.keptUntil >= "2026-07-31").toBe(true);
  // Another school's year ends in February.
  const room = form({ days: "30", "year-ends": "2" });
  expect((await keepTakesFor(services, studioId, room)).ok).toBe(true);
  expect((await give(first)).ok).toBe(true);
  const later = await takePage(services, studioId, first, { listener: personId });
  expect(later.take.keptUntil).toBe("2027-02-28");
  expect((await give(second)).ok).toBe(true);

  const [one] = (await handInsOf(services, studioId, second)).handedIn;
  const comment = form({ id: randomUUID(), handIn: one!.id, bar: "6", text: "<b>late</b> here" });
  for (let twice = 0; twice < 2; twice++) {
    expect((await commentOn(services, studioId, second, comment)).ok).toBe(true);
  }
  const foreign = await commentOn(services, studioId, first, comment);
  expect(foreign.ok).toBe(false);
  const again = form({ handIn: one!.id, answer: "again", rating: "nearly" });
  expect(await answerTo(services, studioId, second, again)).toEqual({
    ok: true,
    value: { next: undefined },
  });
  expect(await answersFor(services, studioId, personId)).toMatchObject([
    { answer: "again", rating: "nearly", comments: [{ bar: 6, text: "<b>late</b> here" }] },
  ]);
  // Sent back, it may come after its day, and is told as late.
  clock.now = NOON + 9 * DAY_MS;
  expect(await asks(first)).toEqual([NOON]);
  expect((await give(first)).ok).toBe(true);
  expect(await waits()).toEqual([[first, true]]);
  // Once it is there, nothing is exchanged after its day.
  expect((await give(second)).ok).toBe(false);
  expect(await asks(second)).toEqual([]);
  // Long after it nothing is asked any more.
  clock.now = NOON + 90 * DAY_MS;
  expect((await give(second)).ok).toBe(false);
}, 60_000);

test("Today tells what is to be handed in: on the day before, on the day, and when it is missing", async () => {
  const { services, studioId, personId, clock, record, give } = await roomWithWeek({
    ...{ bring: "recording", due: addDays(DAY, 3) },
  });
  const told = async (days: number) => {
    clock.now = NOON + days * DAY_MS;
    const { takesDue } = await todayPage(services, studioId, personId);
    return takesDue.map(({ due }) => due);
  };
  const takeId = await record();
  expect(await told(1)).toEqual([]);
  for (const day of [2, 3, 5]) expect(await told(day)).toEqual([addDays(DAY, 3)]);
  expect((await give(takeId)).ok).toBe(true);
  expect(await told(5)).toEqual([]);
}, 60_000);

test("the newest can be heard first, and the next one is the newest that waits", async () => {
  const one = await roomWithWeek({ bring: "recording" });
  const { services, studioId, personId, passageId } = one;
  const first = await one.record();
  expect((await one.give(first)).ok).toBe(true);
  one.clock.now += 60_000;
  const item = newItem(randomUUID(), { title: "Again", passageId, bring: "recording" });
  const page = await lessonPage(services, studioId, personId);
  const { version, after, from, until } = page.draft;
  const text = { items: [one.item, item], word: "", shape: null };
  const set = { version, after, from, until, text, decisions: {} };
  expect((await setWeek(services, studioId, personId, set)).ok).toBe(true);
  const second = await one.record();
  const sent = form({ id: randomUUID(), item: item.id, line: "" });
  expect((await handIn(services, studioId, second, sent)).ok).toBe(true);
  const waits = async (order: "oldest" | "newest") =>
    (await waitingPage(services, studioId, order)).waiting.map(({ takeId }) => takeId);
  expect(await waits("oldest")).toEqual([first, second]);
  expect(await waits("newest")).toEqual([second, first]);
  const [waiting] = (await handInsOf(services, studioId, second)).handedIn;
  const heard = form({ handIn: waiting!.id, answer: "heard", rating: "" });
  expect(await answerTo(services, studioId, second, heard, "newest")).toMatchObject({
    value: { next: first },
  });
}, 60_000);

test("where no take is asked for, none is taken", async () => {
  const { services, studioId, record, give } = await roomWithWeek({ bring: "question" });
  const take = await record();
  expect((await handInsOf(services, studioId, take)).asks).toEqual([]);
  expect(await give(take)).toMatchObject({ ok: false });
}, 60_000);

test("a comment is spoken, heard from its take only, and goes with it; ratings keep to the scale", async () => {
  const { services, studioId, record, give } = await roomWithWeek({ bring: "recording" });
  const [take, other] = [await record(), await record()];
  expect((await give(take)).ok).toBe(true);
  const [one] = (await handInsOf(services, studioId, take)).handedIn;
  const say = (bytes: Uint8Array<ArrayBuffer>) => {
    const id = randomUUID();
    const sent = form({ id, handIn: one!.id, bar: "5", text: "" });
    sent.set("file", new File([bytes], "said.webm"));
    return commentOn(services, studioId, take, sent).then((done) => ({ id, ok: done.ok }));
  };
  const sound = new Uint8Array(aWav());
  // Right at its beginning, and no sound: it is opened.
  expect(await say(new Uint8Array([0x1a, 0x45, 0xdf, 0xa3, 1, 2, 3]))).toMatchObject({ ok: false });
  expect(await say(new Uint8Array([60, 98, 62]))).toMatchObject({ ok: false });
  expect(await say(new Uint8Array(2_000_001).fill(1))).toMatchObject({ ok: false });
  expect(await say(new Uint8Array())).toMatchObject({ ok: false });
  const said = await say(sound);
  expect(said.ok).toBe(true);
  const [told] = (await handInsOf(services, studioId, take)).handedIn;
  expect(told!.comments).toMatchObject([{ bar: 5, text: "", spoken: true }]);
  const hears = (takeId: string) => spokenSound(services, studioId, takeId, said.id);
  expect(await hears(take)).toMatchObject({ size: sound.length, mediaType: "audio/wav" });
  expect(await hears(other)).toBeUndefined();

  const rated = (rating: string) =>
    answerTo(services, studioId, take, form({ handIn: one!.id, answer: "heard", rating }));
  expect((await rated("nearly")).ok).toBe(true);
  expect((await rated("7 of 10")).ok).toBe(false);
  const scale = (fields: Record<string, string>) => rateBy(services, studioId, form(fields));
  expect(await scale({ kind: "words", words: "good, good" })).toMatchObject({ ok: false });
  expect(await scale({ kind: "points", most: "" })).toMatchObject({ ok: false });
  expect(await scale({ kind: "points", most: "10" })).toMatchObject({ ok: true });
  expect((await rated("7 of 10")).ok).toBe(true);

  const hash = createHash("sha256").update(sound).digest("hex");
  expect((await sweepTakes(services)).missing).not.toContain(hash);
  await dropTake(services, studioId, take);
  expect(await services.takes.read(hash)).toBeUndefined();
  expect(await hears(take)).toBeUndefined();
}, 60_000);

test("a take that is asked for is told at the lesson and to its player: open, missing, late, heard", async () => {
  const { services, studioId, personId, clock, item, record, give } = await roomWithWeek({
    bring: "recording",
    due: addDays(DAY, 2),
  });
  const take = await record();
  const told = async () => {
    const lesson = (await lessonPage(services, studioId, personId)).takes[item.id];
    expect((await weekPage(services, studioId, personId)).takes[item.id]).toEqual(lesson);
    const { missing } = await waitingPage(services, studioId);
    return { ...lesson, onTheDesk: missing.some(({ id }) => id === item.id) };
  };
  const due = addDays(DAY, 2);
  expect(await told()).toMatchObject({ state: "open", due, takeId: null, onTheDesk: false });
  clock.now = NOON + 3 * DAY_MS;
  expect(await told()).toMatchObject({ state: "missing", due, takeId: null, onTheDesk: true });
  expect((await give(take)).ok).toBe(true);
  expect(await told()).toMatchObject({
    state: "waiting",
    late: true,
    takeId: take,
    onTheDesk: false,
  });
  const [one] = (await handInsOf(services, studioId, take)).handedIn;
  const heard = form({ handIn: one!.id, answer: "heard", rating: "secure" });
  expect((await answerTo(services, studioId, take, heard)).ok).toBe(true);
  expect(await told()).toMatchObject({ state: "heard", late: true, rating: "secure" });
}, 60_000);
