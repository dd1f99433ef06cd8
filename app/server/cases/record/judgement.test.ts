import { randomUUID } from "node:crypto";
import { beforeEach, describe, expect, test } from "@jest/globals";
import { addDays, bpm, parseKey } from "~/core/units";
import { newItem } from "~/core/week";
import { outlooksOn, passageById, setStudioConcert } from "~/db/queries";
import { EventWriter, furnishedRoom, NOON } from "../../test/room";
import { actOnAdvice, adviceOf } from "./advice";
import { lessonPage } from "../week/lesson";
import { setWeek } from "../week/set-week";
import { appendEvents } from "../session/append-events";
import { progressPage } from "../piece/passage-pages";
import { studentPage } from "../people/student-pages";
import { todayPage } from "../week/today";
import { weekOf } from "../week/board";
import { workshopPage } from "../piece/workshop";

const DAY_MS = 86_400_000;
const DAY = "2026-05-04";

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

/** Plays on a day so many days after the first, "c" and "f" at tempi. */
async function plays(
  day: number,
  tempi: Readonly<Record<number, string>>,
  range?: { fromBar: number; toBar: number },
) {
  room.clock.now = NOON + day * DAY_MS;
  const { sessionId } = await room.begin();
  const stand = new EventWriter(room.clock.now);
  stand.write("opened");
  for (const [tempo, verdicts] of Object.entries(tempi))
    stand.plays(Number(tempo), verdicts, undefined, range);
  stand.write("ended", { how: "finished" });
  const sent = await appendEvents(room.services, room.studioId, sessionId, stand.events);
  expect(sent.ok).toBe(true);
}

/** The comfortable tempo as each page tells it. */
async function told() {
  const { services, studioId, personId, passageId } = room;
  const [student, today, progress, workshop] = [
    await studentPage(services, studioId, personId),
    await todayPage(services, studioId, personId),
    await progressPage(services, studioId, passageId),
    await workshopPage(services, studioId, passageId),
  ];
  return [
    student.passages[0]?.comfortable,
    today.passages[0]?.comfortable,
    progress.now?.comfortable.value,
    workshop.left.comfortable,
  ];
}

describe("a level over days", () => {
  test("all pages tell the same, on the day, on the next, and after weeks off", async () => {
    for (const day of [0, 1, 2, 4]) await plays(day, { 60: "cccc", 70: "ccfc", 80: "fcf" });
    const seen: number[] = [];
    for (const day of [4, 5, 30]) {
      room.clock.now = NOON + day * DAY_MS;
      const all = await told();
      expect(new Set(all).size).toBe(1);
      seen.push(all[0]!);
    }
    expect(seen[2]).toBeLessThan(seen[0]!);
    const { days } = await progressPage(room.services, room.studioId, room.passageId);
    expect(days.at(-1)?.comfortable).toBeCloseTo(seen[0]!, 6);
  });

  test("where keys go round by the week, all pages tell of the key that is asked for", async () => {
    const { services, studioId, personId, passageId } = room;
    const item = newItem(services.newId(), {
      passageId,
      title: "The Ferry",
      keys: ["E♭ major", "C major"].map((key) => parseKey(key)!),
    });
    const text = { items: [item], word: "", shape: null };
    const week = { version: 0, after: null, from: DAY, until: addDays(DAY, 7), text };
    expect((await setWeek(services, studioId, personId, { ...week, decisions: {} })).ok).toBe(true);
    for (const day of [0, 1, 2]) await plays(day, { 60: "cccc", 70: "fcff", 80: "fff" });
    for (const day of [7, 8, 9]) await plays(day, { 60: "cccc", 70: "cccc", 80: "cccf" });
    const seen: number[] = [];
    for (const day of [13, 14]) {
      room.clock.now = NOON + day * DAY_MS;
      const all = await told();
      expect(new Set(all).size).toBe(1);
      seen.push(all[0]!);
    }
    // The third week asks for the first key again, in which it went worse.
    expect(seen[1]).toBeLessThan(seen[0]! * 0.97);
  });

  test("sessions that arrive out of order end in the same level as in order", async () => {
    const at = async (order: readonly number[]) => {
      room = await furnishedRoom();
      for (const day of order) await plays(day, { 60: "cccc", 70: day > 1 ? "cccc" : "ffcf" });
      return (await passageById(room.services.db, room.studioId, room.passageId)).days[0];
    };
    expect(await at([3, 0, 2])).toEqual(await at([0, 2, 3]));
  });

  test("nothing is called comfortable above what was passed and a step", async () => {
    await plays(0, { 60: "cccccccccc" });
    const [comfortable] = await told();
    expect(comfortable).toBeLessThanOrEqual(70);
    expect(comfortable).toBeGreaterThan(50);
  });
});

describe("a ladder for some of its bars", () => {
  test("what it reaches is reached on these, and not on the passage", async () => {
    const { services, studioId, personId, passageId } = room;
    await plays(0, { 60: "cc", 70: "fff" });
    const of = { studioId, personId };
    const bar = { fromBar: 6, toBar: 6 };
    const change = { kind: "part", ...bar } as const;
    await actOnAdvice(services, of, { act: "do", passage: passageId, change });
    for (const day of [1, 2]) await plays(day, { 60: "cc", 70: "cc", 80: "cc", 90: "cc" }, bar);
    const [comfortable] = await told();
    expect(comfortable).toBeLessThanOrEqual(70);
    const { days } = await progressPage(services, studioId, passageId);
    expect(days.map(({ reached_tempo }) => reached_tempo)).toEqual([60, null, null]);
    const { passages, log } = await studentPage(services, studioId, personId);
    expect(passages[0]?.state).not.toBe("safe");
    expect(log[1]?.blocks[0]).toMatchObject({ ...bar, reached: 90, ofPart: true });
  });
});

describe("the concert", () => {
  test("its chance is kept for the day, and reckoned anew after a session", async () => {
    const { services, studioId, personId } = room;
    await setStudioConcert(services.db, studioId, "The Lantern Concert", addDays(DAY, 20));
    await plays(0, { 60: "ccccfcfcff", 70: "ffff" });
    const kept = async (day: string) => (await outlooksOn(services.db, studioId, day))[0];
    expect(await kept(DAY)).toBeUndefined();
    const { lines } = await weekOf(services, studioId);
    const before = await kept(DAY);
    expect(before).toMatchObject({ person_id: personId, chance: expect.any(Number) });
    expect(lines[0]?.looks).toContainEqual({ kind: "concert", chance: before?.chance });
    await plays(0, { 80: "cccccccc", 90: "cccccccc" });
    expect(await kept(DAY)).toBeUndefined();
    await weekOf(services, studioId);
    expect((await kept(DAY))!.chance).toBeGreaterThan(before!.chance!);
  });
});

describe("odd dates and targets", () => {
  test("a concert today, yesterday or in ten years, a target below the level: said sensibly", async () => {
    const { services, studioId, personId, passageId } = room;
    for (const day of [0, 1, 2, 3]) await plays(day, { 60: "cccc", 70: "cccc", 80: "cccf" });
    for (const days of [3, 2, 3650]) {
      await setStudioConcert(services.db, studioId, "The Lantern Concert", addDays(DAY, days));
      const { outlook } = await progressPage(services, studioId, passageId);
      for (const { chance } of outlook?.dates ?? []) {
        expect(chance).toBeGreaterThanOrEqual(0);
        expect(chance).toBeLessThanOrEqual(1);
      }
    }
    await actOnAdvice(
      services,
      { studioId, personId },
      { act: "do", passage: passageId, change: { kind: "target", target: 50 } },
    );
    const all = await told();
    expect(new Set(all).size).toBe(1);
    const { passage, outlook } = await progressPage(services, studioId, passageId);
    expect(passage).toMatchObject({ target: 50 });
    expect(passage.start).toBeLessThanOrEqual(50);
    for (const { chance } of outlook?.dates ?? []) expect(chance).toBeGreaterThan(0.5);
  });

  test("days that a wrong clock put ahead count on the day on which they came", async () => {
    await plays(0, { 60: "cccc" });
    const { services, studioId, passageId, clock } = room;
    const { sessionId } = await room.begin();
    const stand = new EventWriter(clock.now + 400 * DAY_MS);
    stand.write("opened");
    stand.plays(70, "cccc");
    await appendEvents(services, studioId, sessionId, stand.events, clock.now + 400 * DAY_MS);
    const { days } = await passageById(services.db, studioId, passageId);
    expect(days.map(({ day }) => day)).toEqual([DAY]);
    for (const value of await told()) expect(value).toBeGreaterThanOrEqual(10);
  });
});

describe("advice", () => {
  const ladderNow = async () =>
    (await passageById(room.services.db, room.studioId, room.passageId)).ladder!;

  test("is carried out and taken back; another's passage is not touched", async () => {
    await plays(0, { 60: "cccc", 80: "cfff" });
    const { services, studioId, personId, passageId } = room;
    const of = { studioId, personId };
    const change = { kind: "target", target: 80 } as const;
    const done = await actOnAdvice(services, of, { act: "do", passage: passageId, change });
    expect(done).toMatchObject({ ok: true, value: { done: "changed", before: 1 } });
    expect((await ladderNow()).target).toBe(bpm(80));
    const undone = await actOnAdvice(services, of, { act: "undo", passage: passageId, number: 1 });
    expect(undone).toMatchObject({ ok: true, value: { done: "taken-back" } });
    expect((await ladderNow()).target).toBe(bpm(90));
    const other = { studioId, personId: randomUUID() };
    expect(
      await actOnAdvice(services, other, { act: "do", passage: passageId, change }),
    ).toMatchObject({ ok: false });
  });

  test("a student's press goes for today's session alone, and is told at the lesson", async () => {
    await plays(0, { 60: "cccc", 80: "cfff" });
    const { services, studioId, personId, passageId } = room;
    const of = { studioId, personId };
    const change = { kind: "target", target: 80 } as const;
    const act = { act: "today", passage: passageId, rule: "behind-date", change } as const;
    expect(await actOnAdvice(services, of, act)).toEqual({ ok: true, value: { done: "today" } });
    const targetToday = async () => (await room.begin()).plan.blocks[0]?.ladder.target;
    expect(await targetToday()).toBe(bpm(80));
    expect((await ladderNow()).target).toBe(bpm(90));
    const { passages, forToday } = await todayPage(services, studioId, personId);
    expect(passages[0]?.target).toBe(80);
    expect(forToday).toMatchObject([{ passageId, change }]);
    const hide = { ...act, rule: "same-ceiling", change: { kind: "hidden" } } as const;
    await actOnAdvice(services, of, hide);
    const both = (await room.begin()).plan.blocks[0]?.ladder;
    expect(both).toMatchObject({ target: bpm(80), hidden: true });
    room.clock.now += DAY_MS;
    expect(await targetToday()).toBe(bpm(90));
    await actOnAdvice(services, of, act);
    const tried = async () => (await lessonPage(services, studioId, personId)).tried;
    expect(await tried()).toMatchObject([
      { passageId, rule: "behind-date", change, days: 2 },
      { rule: "same-ceiling" },
    ]);
    const back = { act: "not-today", passage: passageId, rule: "behind-date" } as const;
    await actOnAdvice(services, of, back);
    expect(await targetToday()).toBe(bpm(90));
    expect(await tried()).toMatchObject([{ change: hide.change }, { day: DAY, days: 1 }]);
    await actOnAdvice(services, of, { act: "do", passage: passageId, change });
    expect(await tried()).toMatchObject([{ change: hide.change }]);
  });

  test("after days off it says so; put away or switched off it stays away", async () => {
    await plays(0, { 60: "cccc", 70: "cccc", 80: "cccc" });
    room.clock.now = NOON + 9 * DAY_MS;
    const { services, studioId, personId } = room;
    const given = async () => (await adviceOf(services, studioId, personId)).advice;
    const [first] = await given();
    expect(first?.rule).toBe("after-days-off");
    const of = { studioId, personId };
    await actOnAdvice(services, of, { act: "dismiss", key: first!.key });
    expect((await given()).map(({ rule }) => rule)).not.toContain("after-days-off");
    // Another day off changes nothing; another day of practice does.
    room.clock.now += DAY_MS;
    expect((await given()).map(({ rule }) => rule)).not.toContain("after-days-off");
    await plays(11, { 60: "cc", 70: "cc", 80: "ccffff" });
    room.clock.now += 9 * DAY_MS;
    expect((await given())[0]?.rule).toBe("after-days-off");
    await actOnAdvice(services, of, { act: "off", rule: "after-days-off", whom: "everyone" });
    expect((await given()).map(({ rule }) => rule)).not.toContain("after-days-off");
    await actOnAdvice(services, of, { act: "on", rule: "after-days-off" });
    expect((await given())[0]?.rule).toBe("after-days-off");
  });

  test("after a stop for pain there is none", async () => {
    const { sessionId } = await room.begin();
    const stand = new EventWriter();
    stand.write("opened");
    stand.plays(60, "ffffff");
    stand.write("ended", { how: "pain" });
    await appendEvents(room.services, room.studioId, sessionId, stand.events);
    const { hurts, advice } = await adviceOf(room.services, room.studioId, room.personId);
    expect({ hurts, advice }).toEqual({ hurts: true, advice: [] });
  });
});
