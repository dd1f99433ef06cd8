import { randomUUID } from "node:crypto";
import { expect, test } from "@jest/globals";
import fc from "fast-check";
import ICAL from "ical.js";
import * as v from "valibot";
import { newItem, type Often } from "~/core/week";
import { WHOLE_LOG } from "~/forms/log";
import { addDays, type Day } from "~/core/units";
import { EventWriter, furnishedRoom, NOON } from "~/server/test/room";
import { setAway } from "~/server/cases/week/away";
import { changeWeek, changeWeekPage } from "~/server/cases/week/change-week";
import { wholeLog } from "~/server/cases/record/log";
import { moveLesson } from "~/server/cases/week/move-lesson";
import { actOnToday } from "~/server/cases/week/act-on-today";
import { appendEvents } from "~/server/cases/session/append-events";
import { addByHand } from "~/server/cases/week/by-hand";
import { weekCalendar } from "~/server/cases/week/calendar";
import { groupBoard } from "~/server/cases/group/group-board";
import { setGroupItem, writeGroup } from "~/server/cases/group/groups";
import { lessonPage } from "~/server/cases/week/lesson";
import { putAway, putBack } from "~/server/cases/piece/passages";
import { reportPage } from "~/server/cases/record/report";
import { setWeek } from "~/server/cases/week/set-week";
import { sheetPage } from "~/server/cases/week/sheet";
import { weekPage } from "~/server/cases/week/student-week";
import { chooseTimes } from "~/server/cases/week/times";
import { todayPage } from "~/server/cases/week/today";
import { weekOf } from "~/server/cases/week/board";
import { calendarWords } from "~/words/calendar";

const HISTORIES = process.env.FIDUS_WHOLE === "1" ? 20 : 3;
const MONDAY = "2026-05-04";
const DAY_MS = 86_400_000;
const DAYS = 16;

const formOf = (fields: Readonly<Record<string, string>>) => {
  const form = new FormData();
  for (const [key, value] of Object.entries(fields)) form.set(key, value);
  return form;
};

const oftens = fc.oneof(
  fc.constant<Often>({ kind: "daily" }),
  fc.constant<Often>({ kind: "every-other" }),
  fc.integer({ min: 1, max: 4 }).map((times): Often => ({ kind: "times", times })),
);
const items = fc.array(fc.record({ often: oftens, minutes: fc.integer({ min: 3, max: 30 }) }), {
  minLength: 1,
  maxLength: 4,
});

/** What may happen on a day. */
const happenings = fc.oneof(
  fc.record({
    kind: fc.constant("by-hand" as const),
    item: fc.nat(3),
    minutes: fc.integer({ min: 1, max: 40 }),
    daysAgo: fc.nat(2),
  }),
  fc.record({ kind: fc.constant("plays" as const) }),
  fc.record({ kind: fc.constant("enough" as const), item: fc.nat(3) }),
  fc.record({
    kind: fc.constant("times" as const),
    minutes: fc.array(fc.constantFrom(0, 10, 25, 60), { minLength: 7, maxLength: 7 }),
  }),
  fc.record({ kind: fc.constant("change" as const), items, drops: fc.boolean() }),
  fc.record({ kind: fc.constant("away" as const), days: fc.integer({ min: 1, max: 3 }) }),
  fc.record({ kind: fc.constant("move" as const), days: fc.integer({ min: 0, max: 4 }) }),
  fc.record({ kind: fc.constant("put-away" as const) }),
  fc.record({ kind: fc.constant("put-back" as const) }),
  fc.record({
    kind: fc.constant("lesson" as const),
    items,
    days: fc.constantFrom(3, 7, 10),
    finished: fc.boolean(),
  }),
  fc.record({ kind: fc.constant("group" as const), minutes: fc.integer({ min: 3, max: 15 }) }),
);
type Happening = typeof happenings extends fc.Arbitrary<infer T> ? T : never;

const sum = (all: readonly number[]) => all.reduce((total, each) => total + each, 0);

/** One student's weeks over some days, and what every page says of them. */
class Lived {
  private made = 0;
  /** What a day that is over was seen to ask. */
  private readonly seen = new Map<Day, unknown>();

  private constructor(
    private readonly room: Awaited<ReturnType<typeof furnishedRoom>>,
    private readonly groupId: string,
  ) {}

  static async begin() {
    const room = await furnishedRoom();
    const groupId = randomUUID();
    const form = formOf({ name: "The Strings", kind: "section" });
    form.append("member", room.personId);
    await writeGroup(room.services, room.studioId, groupId, form);
    return new Lived(room, groupId);
  }

  get today(): Day {
    return addDays(MONDAY, Math.round((this.room.clock.now - NOON) / DAY_MS));
  }

  nextDay(): void {
    this.room.clock.now += DAY_MS;
  }

  private async itemsOn() {
    const { services, studioId, personId } = this.room;
    return (await weekPage(services, studioId, personId)).week?.items ?? [];
  }

  async does(it: Happening): Promise<void> {
    const { services, studioId, personId, passageId, clock, begin } = this.room;
    const on = await this.itemsOn();
    switch (it.kind) {
      case "by-hand": {
        const itemId = on[it.item % Math.max(1, on.length)]?.id ?? "";
        const said = { minutes: String(it.minutes), daysAgo: String(it.daysAgo), itemId };
        const entry = formOf({ id: randomUUID(), ...said });
        expect(await addByHand(services, studioId, personId, entry)).toMatchObject({ ok: true });
        return;
      }
      case "plays": {
        const { passages } = await todayPage(services, studioId, personId);
        if (!passages.some(({ id }) => id === passageId)) return;
        const { sessionId } = await begin();
        const stand = new EventWriter(clock.now);
        stand.write("opened");
        stand.plays(60, "ccf", 60);
        stand.write("ended", { how: "finished" });
        await appendEvents(services, studioId, sessionId, stand.events);
        return;
      }
      case "enough": {
        const item = on[it.item];
        const said = item && formOf({ act: "enough", itemId: item.id });
        if (said) await actOnToday(services, studioId, personId, said);
        return;
      }
      case "times": {
        const windows = it.minutes.flatMap((minutes, weekday) =>
          minutes > 0 ? [{ weekday, from: "17:00", minutes }] : [],
        );
        const times = JSON.stringify({ windows, lesson: null });
        await chooseTimes(services, studioId, personId, formOf({ times }), true);
        return;
      }
      case "change": {
        const { week } = await changeWeekPage(services, studioId, personId);
        if (!week) return;
        const kept = week.items.slice(it.drops ? 1 : 0).map((each, n) => ({
          ...each,
          ...it.items[n],
        }));
        const fresh = it.items
          .slice(kept.length)
          .map((each) => newItem(randomUUID(), { ...each, title: `Item ${this.made++}` }));
        const whose = { studioId, personId, tell: true };
        const sent = { stamp: week.stamp, items: [...kept, ...fresh] };
        if (sent.items.length === 0) return;
        expect(await changeWeek(services, whose, sent)).toMatchObject({ ok: true });
        return;
      }
      case "away": {
        const until = addDays(this.today, it.days);
        await setAway(services, studioId, personId, formOf({ from: this.today, until }));
        return;
      }
      case "move": {
        // A day that can't be is refused.
        const day = addDays(this.today, it.days);
        await moveLesson(services, studioId, personId, formOf({ day }));
        return;
      }
      case "put-away":
        return void (await putAway(services, studioId, passageId).catch(() => undefined));
      case "put-back":
        return void (await putBack(services, studioId, passageId).catch(() => undefined));
      case "group": {
        const until = addDays(this.today, 4);
        const said = { kind: "theory", title: "Sheet", focus: "", note: "", times: "5" };
        const form = formOf({
          ...{ ...said, id: randomUUID(), minutes: String(it.minutes), bring: "nothing", until },
          ...{ pieceId: "", fromBar: "", toBar: "", target: "", keptLadderId: "" },
        });
        form.append("member", personId);
        await setGroupItem(services, studioId, this.groupId, form);
        return;
      }
      case "lesson": {
        const { draft, last, passages } = await lessonPage(services, studioId, personId);
        const known = passages.some(({ id }) => id === passageId);
        const made = it.items.map((each, n) =>
          newItem(randomUUID(), {
            ...each,
            title: `Item ${this.made++}`,
            passageId: n === 0 && known ? passageId : null,
            kind: n === 0 && known ? "piece" : "theory",
          }),
        );
        const decisions =
          it.finished && last?.items[0] ? { [last.items[0].id]: "finished" as const } : {};
        await setWeek(services, studioId, personId, {
          ...{ version: draft.version, after: draft.after, decisions },
          ...{ from: this.today, until: addDays(this.today, it.days) },
          text: { items: made, word: "", shape: null },
        });
      }
    }
  }

  /** Every page tells the same of what is asked and done. */
  async agrees(): Promise<void> {
    const { services, studioId, personId } = this.room;
    const { today } = this;
    const { week, weeks } = await weekPage(services, studioId, personId);
    const [line] = (await weekOf(services, studioId)).lines;
    if (!week || week.from > today) return;
    const asked = week.days.map((day) => sum(day.asked.map(({ minutes }) => minutes)));
    const days = { minutes: sum(asked), days: asked.filter((minutes) => minutes > 0).length };
    expect(week.asked).toEqual(days);
    if (line) {
      const board = { days: line.days.map((each) => [each.day, each.asked]), goal: line.goal };
      expect(board).toEqual({ days: week.days.map((d, n) => [d.day, asked[n]]), goal: sum(asked) });
      expect(line.days.map(({ played }) => played)).toEqual(week.days.map(({ played }) => played));
    }
    const now = week.days.find(({ day }) => day === today);
    const told = await todayPage(services, studioId, personId);
    expect(told.asked.map(({ itemId, minutes, done }) => [itemId, minutes, done])).toEqual(
      (now?.asked ?? []).map(({ itemId, minutes, done }) => [itemId, minutes, done]),
    );
    const set = weeks.find(({ id }) => id === week.id)!;
    // It has not gone on beyond its lesson.
    const isFirst = set.from === week.from;
    if (isFirst) {
      const sheet = await sheetPage(services, studioId, personId, set.id);
      expect(sheet.goal).toEqual(week.asked);
      expect(sheet.days.map((each) => each.asked)).toEqual(asked);
      const ofItems = sheet.days.map((_, n) => sum(sheet.items.map((each) => each.asked[n]!)));
      expect(ofItems).toEqual(asked);
    }
    const lesson = await lessonPage(services, studioId, personId);
    if (isFirst && lesson.last?.id === week.id) {
      expect(lesson.last.goal).toEqual(week.asked);
      for (const item of lesson.last.items) {
        const own = week.items.find(({ id }) => id === item.id)!;
        expect(item.doneOn).toBe(own.practised.filter(({ done }) => done).length);
      }
    }
    const calendar = await weekCalendar(services, studioId, personId, calendarWords);
    const events = new ICAL.Component(ICAL.parse(calendar) as unknown[])
      .getAllSubcomponents("vevent")
      .map((each) => new ICAL.Event(each))
      .filter(({ summary }) => summary === calendarWords.practice);
    for (const [n, { day, asked: lines }] of week.days.entries()) {
      const event = events.find(({ uid }) => uid.includes(day));
      expect(Boolean(event)).toBe(asked[n]! > 0);
      const minutes = [...(event?.description ?? "").matchAll(/(\d+) min/g)].map(([, m]) =>
        Number(m),
      );
      expect(minutes).toEqual(event ? lines.map((each) => each.minutes) : []);
    }
    const log = await wholeLog(services, studioId, personId, WHOLE_LOG);
    const logged = (on: Day) =>
      sum(log.filter(({ day }) => day === on).map(({ minutes }) => minutes ?? 0));
    for (const { day, played } of week.days) expect(logged(day)).toBeCloseTo(played, 6);
    // The one that ended at a lesson has asked as well.
    const before = weeks.filter(({ id, from }) => id !== week.id && from <= today);
    const ended = await Promise.all(
      before.map(({ id }) => weekPage(services, studioId, personId, id)),
    );
    const all = [...ended.flatMap((each) => each.week!.days), ...week.days];
    await this.staysAsItWas(all.filter(({ day }) => day < today));
    await groupBoard(services, studioId, this.groupId);
  }

  /** What a day that is over has asked is never told otherwise again. */
  private async staysAsItWas(
    over: readonly {
      readonly day: Day;
      readonly asked: readonly { itemId: string; minutes: number }[];
    }[],
  ): Promise<void> {
    for (const { day, asked } of over) {
      const told = asked.map(({ itemId, minutes }) => `${itemId} ${minutes}`).toSorted();
      if (this.seen.has(day)) expect([day, told]).toEqual([day, this.seen.get(day)]);
      this.seen.set(day, told);
    }
    // The report counts these days, item by item.
    const { services, studioId, personId } = this.room;
    const { from, to } = { from: MONDAY, to: this.today };
    const report = await reportPage(services, studioId, { group: "", person: personId, from, to });
    const kept = await services.db.one(
      v.object({ asked: v.number() }),
      `select count(*)::integer as asked from item_day
       where person_id = $1 and minutes > 0 and day between $2 and $3`,
      [personId, from, to],
    );
    expect(report.lines[0]!.items.asked).toBe(kept.asked);
  }
}

test("whatever happens over two weeks, every page tells the same, and days that are over stand", async () => {
  const lived = fc.record({
    first: items,
    days: fc.array(fc.array(happenings, { maxLength: 2 }), { minLength: DAYS, maxLength: DAYS }),
  });
  await fc.assert(
    fc.asyncProperty(lived, async ({ first, days }) => {
      const student = await Lived.begin();
      await student.does({ kind: "lesson", items: first, days: 7, finished: false });
      for (const day of days) {
        for (const each of day) await student.does(each);
        await student.agrees();
        student.nextDay();
      }
    }),
    { numRuns: HISTORIES, endOnFailure: true },
  );
}, 600_000);
