import { randomUUID } from "node:crypto";
import { beforeEach, describe, expect, test } from "@jest/globals";
import ICAL from "ical.js";
import { newItem, type AssignmentItem } from "~/core/week";
import { addDays, bpm } from "~/core/units";
import { calendarWords } from "~/words/calendar";
import { sheetPdf } from "~/features/sheet/sheet-pdf.server";
import { initialNumbers } from "~/core/ladder";
import { EventWriter, furnishedRoom, ladder, NOON } from "~/server/test/room";
import { appendEvents } from "~/server/cases/session/append-events";
import { addByHand } from "~/server/cases/week/by-hand";
import { weekCalendar } from "~/server/cases/week/calendar";
import { passageOf, putAway, putBack, setLadder } from "~/server/cases/piece/passages";
import { setTarget } from "~/server/cases/piece/set-target";
import { lessonPage } from "~/server/cases/week/lesson";
import { keepWeek, setWeek } from "~/server/cases/week/set-week";
import { sayAfterwards } from "~/server/cases/session/say-afterwards";
import { sheetPage } from "~/server/cases/week/sheet";
import { weekOf } from "~/server/cases/week/board";
import { weekPage } from "~/server/cases/week/student-week";
import { chooseTimes } from "~/server/cases/week/times";
import { answer, questionsNow } from "~/server/cases/record/questions";
import { todayPage } from "~/server/cases/week/today";

const TODAY = "2026-05-04";
const DAY_MS = 86_400_000;

let room: Awaited<ReturnType<typeof furnishedRoom>>;
beforeEach(async () => {
  room = await furnishedRoom();
}, 60_000);

const item = (change: Partial<AssignmentItem> = {}): AssignmentItem =>
  newItem(randomUUID(), {
    passageId: room.passageId,
    title: "The Ferry at Low Water",
    goalTempo: 70,
    ...change,
  });

const sent = (items: AssignmentItem[], version = 0, after: string | null = null, from = TODAY) => ({
  version,
  after,
  from,
  until: addDays(from, 7),
  text: { items, word: "", shape: null },
  decisions: {},
});

const form = (fields: Record<string, string>) => {
  const made = new FormData();
  for (const [key, value] of Object.entries(fields)) made.set(key, value);
  return made;
};

async function practises(verdicts: string): Promise<string> {
  const { sessionId } = await room.begin();
  const stand = new EventWriter(room.clock.now);
  stand.write("opened");
  stand.plays(60, verdicts, 6);
  stand.write("ended", { how: "finished" });
  await appendEvents(room.services, room.studioId, sessionId, stand.events);
  return sessionId;
}

describe("from lesson to lesson", () => {
  test("what was asked stands beside what happened, every figure from the log", async () => {
    const { services, studioId, personId, clock } = room;
    const theory = item({ passageId: null, kind: "theory", title: "Sheet 3", goalTempo: null });
    const set = await setWeek(services, studioId, personId, sent([item(), theory]));
    expect(set.ok).toBe(true);
    await practises("ccf");
    clock.now = NOON + 2 * DAY_MS;
    await practises("cc");
    const entry = { id: randomUUID(), minutes: "15", daysAgo: "1", itemId: theory.id };
    for (let twice = 0; twice < 2; twice++) {
      expect((await addByHand(services, studioId, personId, form(entry))).ok).toBe(true);
    }
    clock.now = NOON + 7 * DAY_MS;
    const { last, draft, weak } = await lessonPage(services, studioId, personId);
    const [passage, sheet] = last!.items;
    expect(passage).toMatchObject({ days: 2, clean: { clean: 4, plays: 5 } });
    expect(passage!.flawedBars).toEqual([{ bar: 6, flawed: 1 }]);
    expect(sheet).toMatchObject({ days: 1, done: 15, clean: undefined });
    expect(last!.done.days).toBe(3);
    // Carried over to the tempo that was asked; the goal was missed by more than half.
    const [next] = draft.text.items;
    expect(next).toMatchObject({ origin: "carried", passageId: room.passageId });
    expect(next!.goalTempo).toBeGreaterThan(60);
    // Next to nothing of it was played: the next one is smaller on purpose.
    expect(weak).toBe(true);
    expect(next!.minutes).toBe(8);
  });

  test("the board tells what was practised last, also without a passage", async () => {
    const { services, studioId, personId, clock } = room;
    const last = async () => (await weekOf(services, studioId)).lines[0]!.last;
    expect(await last()).toBeUndefined();
    await practises("cc");
    const played = { titles: ["The Ferry at Low Water"], kinds: [], byHand: 0 };
    expect(await last()).toEqual({ day: TODAY, ...played });
    clock.now = NOON + 2 * DAY_MS;
    const entry = form({ id: randomUUID(), minutes: "12", daysAgo: "1", itemId: "" });
    expect(await addByHand(services, studioId, personId, entry)).toMatchObject({ ok: true });
    const byHand = { titles: [], kinds: [], byHand: 12 };
    expect(await last()).toEqual({ day: addDays(TODAY, 1), ...byHand });
  });

  test("what is put away in the middle of a week is asked no more, and is not called safe", async () => {
    const { services, studioId, personId, passageId, clock } = room;
    const theory = item({ passageId: null, kind: "theory", title: "Sheet 3", goalTempo: null });
    await setWeek(services, studioId, personId, sent([item(), theory]));
    clock.now = NOON + 2 * DAY_MS;
    const asked = async () => {
      const { week } = await weekPage(services, studioId, personId);
      const minutes = week!.days.map((day) =>
        day.asked.reduce((sum, each) => sum + each.minutes, 0),
      );
      expect(week!.asked.minutes).toBe(minutes.reduce((sum, each) => sum + each, 0));
      return minutes;
    };
    await putAway(services, studioId, passageId);
    expect(await asked()).toEqual([20, 20, 10, 10, 10, 10, 10]);
    // Back on the same day, it is asked as if nothing had been; on a later one the lesson asks for it.
    await putBack(services, studioId, passageId);
    expect(await asked()).toEqual([20, 20, 20, 20, 20, 20, 20]);
    await putAway(services, studioId, passageId);
    clock.now += DAY_MS;
    await putBack(services, studioId, passageId);
    expect(await asked()).toEqual([20, 20, 10, 10, 10, 10, 10]);
    await putAway(services, studioId, passageId);
    clock.now = NOON + 7 * DAY_MS;
    const { draft, last } = await lessonPage(services, studioId, personId);
    expect(last!.goal.minutes).toBe(90);
    expect(draft.text.items.map(({ title }) => title)).toEqual(["Sheet 3"]);
    const decisions = { [last!.items[0]!.id]: "finished" as const };
    const next = { ...sent([...draft.text.items], 0, draft.after, draft.from), decisions };
    expect(await setWeek(services, studioId, personId, next)).toMatchObject({ ok: true });
    expect((await passageOf(services, studioId, passageId)).stateSet).toBeNull();
  });

  test("no week asks for more than a ladder goes to; taken back, it asks for it again", async () => {
    const { services, studioId, personId, passageId } = room;
    await setWeek(services, studioId, personId, sent([item({ goalTempo: 90 })]));
    const goal = async () =>
      (await weekPage(services, studioId, personId)).week!.items[0]!.goalTempo;
    const target = (tempo: number) =>
      setTarget(services, studioId, passageId, form({ target: `${tempo}` }));
    expect(await target(80)).toMatchObject({ ok: true, value: { is: 80, was: 90 } });
    expect(await goal()).toBe(80);
    await target(90);
    expect(await goal()).toBe(90);
    // What the teacher draws anew comes down, and asks for no more than was asked.
    await setLadder(services, studioId, passageId, ladder({ target: bpm(70) }));
    await setLadder(services, studioId, passageId, ladder({ target: bpm(100) }));
    expect(await goal()).toBe(70);
  });

  test("smaller on purpose is smaller than what the days of a full week gave", async () => {
    const { services, studioId, personId, clock } = room;
    const windows = [0, 1, 2, 3, 4, 5, 6].map((weekday) => ({
      weekday,
      from: "17:00",
      minutes: 20,
    }));
    const times = JSON.stringify({ windows, lesson: null });
    expect((await chooseTimes(services, studioId, personId, form({ times }), true)).ok).toBe(true);
    const theory = item({ passageId: null, kind: "theory", title: "Sheet 3", goalTempo: null });
    await setWeek(services, studioId, personId, sent([item(), theory]));
    clock.now = NOON + 7 * DAY_MS;
    const { last, draft } = await lessonPage(services, studioId, personId);
    // Ten minutes of each were asked, eight of each had room.
    expect(last!.goal.minutes).toBe(7 * 16);
    expect(draft.text.items.map(({ minutes }) => minutes)).toEqual([6, 6]);
  });

  test("where the tempo of a ladder stays, no other is suggested", async () => {
    const { services, studioId, personId, passageId, clock } = room;
    const { phases } = ladder();
    const numbers = { ...initialNumbers("rhythm") };
    const school = { name: "rhythm", numbers } as (typeof phases)[number]["school"];
    await setLadder(services, studioId, passageId, ladder({ phases: [{ ...phases[0], school }] }));
    await setWeek(services, studioId, personId, sent([item({ goalTempo: 90 })]));
    await practises("cc");
    clock.now = NOON + 7 * DAY_MS;
    const { last, draft } = await lessonPage(services, studioId, personId);
    expect(draft.text.items[0]!.goalTempo).toBe(90);
    expect(last!.items[0]!.lowered).toBeUndefined();
  });

  test("a draft is nobody's week yet; who writes over another version is told", async () => {
    const { services, studioId, personId } = room;
    const kept = await keepWeek(services, studioId, personId, sent([item()]));
    expect(kept).toMatchObject({ ok: true, value: { version: 1 } });
    expect((await weekPage(services, studioId, personId)).week).toBeUndefined();
    const late = await setWeek(services, studioId, personId, sent([item({ title: "Mine" })]));
    expect(late).toMatchObject({ ok: false, error: { theirs: { version: 1 } } });
    const over = await setWeek(services, studioId, personId, sent([item({ title: "Mine" })], 1));
    expect(over.ok).toBe(true);
    expect((await weekPage(services, studioId, personId)).week?.items[0]?.title).toBe("Mine");
    // The draft is gone because the week is set: whoever opened before that is told as well.
    const last = await setWeek(services, studioId, personId, sent([item({ title: "Later" })]));
    expect(last).toMatchObject({
      ok: false,
      error: { theirs: { version: 0, text: { items: [{ title: "Mine" }] } } },
    });
  });

  test("a week that is prepared early leaves the one that is on where it is, and is changed by setting it again", async () => {
    const { services, studioId, personId, clock } = room;
    const lesson = { weekday: 0, from: "15:00", minutes: 45 };
    const windows = [{ weekday: 0, from: "17:30", minutes: 40 }];
    const times = JSON.stringify({ windows, lesson });
    expect((await chooseTimes(services, studioId, personId, form({ times }), true)).ok).toBe(true);
    await setWeek(services, studioId, personId, sent([item({ title: "First" })]));
    await practises("cc");
    clock.now = NOON + 5 * DAY_MS;
    const told = async () => {
      const { last, draft } = await lessonPage(services, studioId, personId);
      const [line] = (await weekOf(services, studioId)).lines;
      const played = line!.days.filter((each) => each.played > 0).length;
      const days = (await weekPage(services, studioId, personId)).week!.from;
      return { last: last!.items[0]!.title, draft, line: { ...line!, played }, days };
    };
    const before = await told();
    const setsAgain = async (title: string, from: string) => {
      const { draft, last } = await lessonPage(services, studioId, personId);
      return setWeek(services, studioId, personId, {
        ...sent([item({ title })], draft.version, draft.after, from),
        decisions: Object.fromEntries(last!.items.map(({ id }) => [id, "carried" as const])),
        until: addDays(TODAY, 14),
      });
    };
    const first = await setsAgain("Second", before.draft.from);
    const prepared = await told();
    expect(before.draft).toMatchObject({ from: addDays(TODAY, 7), set: false });
    // The same week is looked back on, and is told on every page, until the next one begins.
    expect(prepared).toMatchObject({ last: "First", days: TODAY });
    expect(prepared.line).toMatchObject({ played: 1, until: addDays(TODAY, 7) });
    expect(prepared.draft).toMatchObject({ set: true, from: addDays(TODAY, 7) });
    expect(prepared.draft.text.items).toMatchObject([{ title: "Second" }]);

    const again = await setsAgain("Second, changed", addDays(TODAY, 8));
    expect(again.ok && first.ok && again.value.id).toBe(first.ok && first.value.id);
    expect((await told()).line.until).toBe(addDays(TODAY, 8));
    const stale = sent([item()], 0, prepared.draft.after, addDays(TODAY, 8));
    expect(await setWeek(services, studioId, personId, stale)).toMatchObject({
      error: { theirs: { text: { items: [{ title: "Second, changed" }] } } },
    });
    // On its day the lesson is still to come: nobody has set anything at it.
    clock.now = NOON + 8 * DAY_MS;
    expect(await told()).toMatchObject({
      last: "First",
      days: addDays(TODAY, 8),
      line: { lessonToday: "15:00" },
    });
    await setsAgain("Second, at the lesson", addDays(TODAY, 8));
    expect(await told()).toMatchObject({ last: "First", line: { lessonToday: undefined } });
    // After a long pause nobody goes by the old one, on no page.
    clock.now = NOON + 70 * DAY_MS;
    const { draft } = await lessonPage(services, studioId, personId);
    const next = sent([item()], draft.version, draft.after, addDays(TODAY, 72));
    expect((await setWeek(services, studioId, personId, next)).ok).toBe(true);
    expect(await told()).toMatchObject({
      days: addDays(TODAY, 72),
      line: { until: addDays(TODAY, 79) },
    });
  });

  test("a week that a lesson ends early asks what its days asked; one whose lesson is late went on", async () => {
    const { services, studioId, personId, clock } = room;
    const lastGoal = async () => (await lessonPage(services, studioId, personId)).last!.goal;
    const setsNow = async (days: number) => {
      clock.now = NOON + days * DAY_MS;
      const { after, version } = (await lessonPage(services, studioId, personId)).draft;
      const week = sent([item()], version, after, addDays(TODAY, days));
      expect((await setWeek(services, studioId, personId, week)).ok).toBe(true);
    };
    await setsNow(0);
    expect(await lastGoal()).toEqual({ minutes: 70, days: 7 });
    await setsNow(3);
    expect(await lastGoal()).toEqual({ minutes: 30, days: 3 });
    // Until its lesson, which is two days late, the second goes on.
    clock.now = NOON + 12 * DAY_MS;
    // On the day of the lesson nothing was asked.
    expect(await lastGoal()).toEqual({ minutes: 80, days: 8 });
    clock.now = NOON + 60 * DAY_MS;
    expect(await lastGoal()).toEqual({ minutes: 350, days: 35 });
  });

  test("today asks what the week asks; until the next lesson the week goes on", async () => {
    const { services, studioId, personId, clock } = room;
    const theory = item({ passageId: null, kind: "theory", title: "Sheet 3", goalTempo: null });
    await setWeek(services, studioId, personId, sent([item(), theory]));
    const asked = async () => {
      const { candidates, tasks } = await todayPage(services, studioId, personId);
      return [candidates[0]?.asked, tasks.map(({ text }) => text)];
    };
    expect(await asked()).toEqual([{ minutes: 10 }, ["Sheet 3"]]);
    clock.now = NOON + 8 * DAY_MS;
    expect(await asked()).toEqual([{ minutes: 10 }, ["Sheet 3"]]);
    clock.now = NOON + 60 * DAY_MS;
    expect(await asked()).toEqual([undefined, []]);
  });

  test("a tight end makes the next session gentler, and is told at the lesson", async () => {
    const { services, studioId, personId } = room;
    await setWeek(services, studioId, personId, sent([item()]));
    const session = await practises("cc");
    const say = (fields: Record<string, string>) =>
      sayAfterwards(services, studioId, session, form({ id: randomUUID(), ...fields }));
    expect((await say({ say: "feeling", feeling: "tight" })).ok).toBe(true);
    // Two things said at once: neither is refused for the other.
    const both = await Promise.all([
      say({ say: "question", question: "Which finger?" }),
      say({ say: "rating", what: "tone", answer: "no" }),
    ]);
    expect(both.map(({ ok }) => ok)).toEqual([true, true]);
    expect((await say({ say: "rating", what: "tone", answer: "maybe" })).ok).toBe(false);
    expect((await todayPage(services, studioId, personId)).feeling).toBe("tight");
    const { last } = await lessonPage(services, studioId, personId);
    expect(last?.feelings).toEqual([{ day: TODAY, feeling: "tight" }]);
    const [asked] = (await lessonPage(services, studioId, personId)).questions;
    expect(asked).toMatchObject({ day: TODAY, text: "Which finger?" });
    const closed = { act: "answer" as const, id: asked!.id, answer: "The fourth." };
    await answer(services, studioId, personId, closed);
    expect((await questionsNow(services, studioId, personId)).waiting).toEqual([]);
    const { questions } = await todayPage(services, studioId, personId);
    expect(questions.answered).toMatchObject([{ text: "Which finger?", answer: "The fourth." }]);
    expect(last?.ratings).toEqual([{ what: "tone", yes: 0, partly: 0, no: 1 }]);
  });
});

describe("the week for paper and for calendars", () => {
  test("a calendar program reads the times as they are where the room is", async () => {
    const { services, studioId, personId } = room;
    const windows = [{ weekday: 0, from: "17:30", minutes: 40 }];
    const lesson = { weekday: 0, from: "15:00", minutes: 45 };
    const times = JSON.stringify({ windows, lesson });
    expect((await chooseTimes(services, studioId, personId, form({ times }), true)).ok).toBe(true);
    await setWeek(services, studioId, personId, sent([item({ title: "Scales; slow, even" })]));
    const read = async () => {
      const text = await weekCalendar(services, studioId, personId, calendarWords);
      const all = new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents("vevent");
      return all.map((each) => new ICAL.Event(each));
    };
    const events = await read();
    expect(events.map(({ summary }) => summary)).toEqual(["Practice", "Music lesson"]);
    // British summer time: half past five is half past four in UTC.
    expect(events[0]!.startDate.toJSDate().toISOString()).toBe("2026-05-04T16:30:00.000Z");
    expect(events[0]!.duration.toSeconds()).toBe(10 * 60);
    expect(events[0]!.description).toBe("Scales; slow, even: 10 min");
    expect(events[1]!.startDate.toJSDate().toISOString()).toBe("2026-05-11T14:00:00.000Z");
    // The next week is there as soon as it is set.
    room.clock.now += 86_400_000;
    const { draft } = await lessonPage(services, studioId, personId);
    const next = sent([item({ title: "Thirds" })], 0, draft.after, "2026-05-11");
    expect(await setWeek(services, studioId, personId, next)).toMatchObject({ ok: true });
    const days = (await read()).map(
      ({ summary, startDate }) => `${summary} ${startDate.toJSDate().toISOString().slice(0, 10)}`,
    );
    expect(days).toEqual([
      "Practice 2026-05-04",
      "Music lesson 2026-05-11",
      "Practice 2026-05-11",
      "Music lesson 2026-05-18",
    ]);
  });

  test("the sheet is a PDF on either paper, and shows no other student's week", async () => {
    const { services, studioId, personId, open } = room;
    const set = await setWeek(services, studioId, personId, sent([item({ note: "Žluťoučký" })]));
    if (!set.ok) throw new Error("The week was refused.");
    const sheet = await sheetPage(services, studioId, personId, set.value.id);
    expect(sheet.items[0]!.asked).toEqual([10, 10, 10, 10, 10, 10, 10]);
    expect(sheet.items[0]!.tempi).toEqual([60, 70, 80, 90]);
    const named = { weekday: (day: string) => day, day: (day: string) => day };
    for (const [paper, box] of [
      ["a4", "595.28 841.89"],
      ["letter", "612 792"],
    ] as const) {
      const pdf = (await sheetPdf(sheet, paper, named)).toString("latin1");
      expect(pdf.startsWith("%PDF-")).toBe(true);
      expect(pdf).toContain(box);
    }
    const elsewhere = await open("Another room");
    const theirs = sheetPage(services, elsewhere.studioId, elsewhere.studentId, set.value.id);
    await expect(theirs).rejects.toThrow();
  });
});
