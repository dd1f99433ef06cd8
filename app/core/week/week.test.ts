import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import * as v from "valibot";
import { addDays, daysBetween, formatKey, parseKey, parseKeys, type Key } from "~/core/units";
import {
  CHILD_LIMITS,
  fitted,
  type AssignmentItem,
  FIXES,
  keyOfWeek,
  layOutWeek,
  leastMinutes,
  minutesOn,
  newItem,
  previewOf,
  reviewIn,
  rotation,
  smaller,
  timesSchema,
  turned,
  wasWeak,
  type LayoutItem,
  type Often,
  type Rotation,
} from "./index";
import { daily, item, items, MONDAY, times, week, weeks } from "./test/weeks";

const daysOf = (layout: ReturnType<typeof layOutWeek>, id: string) =>
  layout.days
    .filter(({ items: all }) => all.some(({ itemId }) => itemId === id))
    .map(({ day }) => day);

describe("the week laid out", () => {
  test("no day is given more than its minutes, nothing less than half of what it should have", () => {
    fc.assert(
      fc.property(items, weeks, fc.nat(6), (all, days, gone) => {
        const { days: laid } = layOutWeek(all, days, addDays(MONDAY, gone));
        for (const day of laid) {
          expect(day.load).toBeLessThanOrEqual(day.minutes);
          for (const { itemId, minutes } of day.items) {
            const asked = all.find(({ id }) => id === itemId)!;
            expect(minutes).toBeGreaterThanOrEqual(leastMinutes(asked.minutes));
            expect(minutes).toBeLessThanOrEqual(asked.minutes);
          }
        }
      }),
    );
  });

  test("what does not fit is told, and what is told did not fit", () => {
    fc.assert(
      fc.property(items, weeks, (all, days) => {
        const layout = layOutWeek(all, days, MONDAY);
        const withTime = days.filter(({ minutes }) => minutes > 0).length;
        for (const { id, often } of all.filter(({ hard }) => !hard)) {
          if (often.kind === "every-other") continue;
          const wanted = often.kind === "daily" ? withTime : Math.min(withTime, often.times);
          const out = layout.notes.find((note) => note.kind === "falls-out" && note.itemId === id);
          expect(daysOf(layout, id).length + (out?.kind === "falls-out" ? out.times : 0)).toBe(
            wanted,
          );
        }
      }),
    );
  });

  test("every other day is every other day, across the edge of the week too", () => {
    const every: Often = { kind: "every-other" };
    const full = week(Array.from({ length: 7 }, () => 45));
    const at = (change: Partial<LayoutItem>, today = MONDAY) =>
      daysOf(layOutWeek([item("a", every, change)], full, today), "a").map((day) =>
        daysBetween(MONDAY, day),
      );
    expect(at({})).toEqual([0, 2, 4, 6]);
    expect(at({ lastBefore: addDays(MONDAY, -1) })).toEqual([1, 3, 5]);
    // Missed on its day, it goes on from the next one.
    expect(at({ doneOn: [MONDAY] }, addDays(MONDAY, 3))).toEqual([3, 5]);
    fc.assert(
      fc.property(weeks, items, fc.nat(6), (days, others, gone) => {
        const all = [item("mine", every), ...others];
        const laid = daysOf(layOutWeek(all, days, addDays(MONDAY, gone)), "mine");
        for (const [n, day] of laid.slice(1).entries()) {
          expect(daysBetween(laid[n]!, day)).toBeGreaterThanOrEqual(2);
        }
      }),
    );
  });

  test("what is asked n times lies as far apart as it can", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 7 }), fc.nat(6), (n, ago) => {
        const full = week(Array.from({ length: 7 }, () => 30));
        const before = addDays(MONDAY, -1 - ago);
        const laid = layOutWeek([item("a", times(n), { lastBefore: before })], full, MONDAY);
        const days = daysOf(laid, "a");
        for (const [i, day] of days.slice(1).entries())
          expect(daysBetween(days[i]!, day)).toBeGreaterThanOrEqual(Math.floor(7 / n));
      }),
    );
    const alone = daysOf(layOutWeek([item("a", times(3))], week(Array(7).fill(30)), MONDAY), "a");
    expect(alone).toEqual([0, 3, 6].map((n) => addDays(MONDAY, n)));
  });

  test("something falls out only when not all of it can be placed", () => {
    // A twenty on the only long day, and a ten that could have taken it.
    const days = week([12, 12, 40, 0, 0, 0, 0]);
    const all = [item("ten", times(3), { minutes: 20 }), item("long", times(1), { minutes: 60 })];
    expect(layOutWeek(all, days, MONDAY).notes.filter(({ kind }) => kind === "falls-out")).toEqual(
      [],
    );
  });

  test("in two weeks what is asked three times a week comes six times", () => {
    const days = week(Array.from({ length: 14 }, () => 30));
    expect(daysOf(layOutWeek([item("a", times(3))], days, MONDAY), "a")).toHaveLength(6);
  });

  test("three times a week are spread, and the load follows the days", () => {
    const layout = layOutWeek([item("a", times(3))], week([30, 30, 30, 30, 30, 30, 0]), MONDAY);
    const days = daysOf(layout, "a").map((day) => daysBetween(MONDAY, day));
    expect(days).toHaveLength(3);
    expect(Math.min(...days.slice(1).map((day, i) => day - days[i]!))).toBeGreaterThanOrEqual(2);
    const two = [item("a", times(1), { minutes: 20 }), item("b", times(1), { minutes: 20 })];
    const loads = layOutWeek(two, week([20, 20, 0, 0, 0, 0, 0]), MONDAY).days.map(
      ({ load }) => load,
    );
    expect(loads.slice(0, 2)).toEqual([20, 20]);
  });

  test("a hard passage rests two days at most while there is a day with time", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 7 }), (n) => {
        const days = week([30, 30, 30, 30, 30, 30, 30]);
        const laid = daysOf(
          layOutWeek(
            [item("a", times(n), { hard: true, lastBefore: addDays(MONDAY, -1) })],
            days,
            MONDAY,
          ),
          "a",
        );
        const stops = [addDays(MONDAY, -1), ...laid];
        for (const [i, day] of stops.slice(1).entries())
          expect(daysBetween(stops[i]!, day)).toBeLessThanOrEqual(3);
      }),
    );
    const far = layOutWeek(
      [item("a", times(2), { hard: true })],
      week([30, 0, 0, 0, 0, 30, 0]),
      MONDAY,
    );
    expect(far.notes).toEqual([{ kind: "rests", itemId: "a", days: 4, to: addDays(MONDAY, 5) }]);
  });

  test("a missed day is spread over what is left, and what falls out is said", () => {
    const days = week([20, 20, 20, 0, 0, 0, 0]);
    const asked = [item("a", times(3), { minutes: 20 }), item("b", daily, { minutes: 20 })];
    const all = layOutWeek(asked, days, MONDAY);
    expect(all.notes).toEqual([{ kind: "too-much", asked: 120, laid: 60 }]);
    // Monday and Tuesday were missed: on Wednesday each fits once.
    const late = layOutWeek(asked, days, addDays(MONDAY, 2));
    expect(late.days[0]!.items).toHaveLength(2);
    expect(late.days[0]!.load).toBe(20);
    expect(late.notes[0]).toEqual({ kind: "falls-out", itemId: "a", times: 2 });
  });

  test("what is done is not asked again", () => {
    const done = [item("a", times(2), { doneOn: [MONDAY, addDays(MONDAY, 1)] })];
    const layout = layOutWeek(done, week([30, 30, 30, 30, 30, 30, 30]), addDays(MONDAY, 1));
    expect(daysOf(layout, "a")).toEqual([]);
    expect(layout.notes).toEqual([]);
  });
});

describe("times of a week", () => {
  const at = (weekday: number, from: string, minutes: number) => ({ weekday, from, minutes });
  const sentence = (windows: unknown[], lesson: unknown = null) => {
    const read = v.safeParse(timesSchema, { windows, lesson, dates: [], limits: null });
    return read.success ? undefined : read.issues[0].message;
  };
  test("that can't be are refused with a sentence", () => {
    expect(sentence([])).toMatch("at least one day");
    expect(sentence([at(1, "17:00", 30), at(1, "17:20", 30)])).toBe(
      "Tuesday 17:00 and Tuesday 17:20 overlap.",
    );
    expect(sentence([at(0, "17:00", 30)], at(0, "17:15", 30))).toBe(
      "Monday 17:00 overlaps with the lesson.",
    );
    expect(sentence([at(0, "23:50", 30)])).toMatch("past midnight");
    expect(sentence([at(0, "25:00", 30)])).toMatch("17:30");
    expect(sentence([at(0, "17:00", 30), at(0, "17:30", 30)])).toBeUndefined();
  });
  test("a date has more, less or no time; a child's day is no longer than it should be", () => {
    const dates = [
      { day: MONDAY, minutes: 0 },
      { day: addDays(MONDAY, 5), minutes: 120 },
    ];
    const times = { windows: [at(0, "17:00", 30), at(1, "17:00", 60)], dates, limits: null };
    const on = (of: typeof times | object, n: number) =>
      minutesOn({ ...times, ...of }, addDays(MONDAY, n));
    expect([0, 1, 2, 5, 7].map((n) => on({}, n))).toEqual([0, 60, 0, 120, 30]);
    expect([1, 5].map((n) => on({ limits: CHILD_LIMITS }, n))).toEqual([45, 45]);
    expect(on({ windows: [] }, 1)).toBe(30);
  });
});

describe("goals, keys and reviews", () => {
  test("after a week that came to less than half, the next is smaller on purpose", () => {
    const goal = { minutes: 100, days: 4 };
    expect(wasWeak(goal, { minutes: 49, days: 2 })).toBe(true);
    expect(wasWeak(goal, { minutes: 50, days: 2 })).toBe(false);
    // Early on nobody can say.
    expect(wasWeak(goal, { minutes: 0, days: 0 }, 1 / 7)).toBe(false);
    expect([20, 12, 3, 2].map(smaller)).toEqual([15, 9, 3, 2]);
  });

  const told = (keys: readonly Key[]) => keys.map(formatKey);
  const key = (text: string) => parseKey(text)!;

  test("keys go round week by week, also over weeks without a lesson", () => {
    const { keys } = parseKeys("C, G, D");
    const at = (days: number) => formatKey(keyOfWeek(keys, MONDAY, addDays(MONDAY, days))!);
    expect([0, 6, 7, 20, 21].map(at).map((each) => each[0])).toEqual(["C", "C", "G", "D", "C"]);
    expect(keyOfWeek([], MONDAY, MONDAY)).toBeUndefined();
    const next = (days: number) => told(turned(keys, MONDAY, addDays(MONDAY, days)))[0];
    expect([6, 7, 8, 14].map(next)).toEqual(["G major", "G major", "G major", "D major"]);
  });

  test("from any key round the circle, by semitones, and in relative pairs", () => {
    const from = (text: string, kind: Rotation) => told(rotation(key(text), kind)).slice(0, 4);
    expect(from("E♭", "fifths-up")).toEqual(["E♭ major", "B♭ major", "F major", "C major"]);
    expect(from("b", "fifths-down")).toEqual(["B minor", "E minor", "A minor", "D minor"]);
    expect(from("A", "chromatic")).toEqual(["A major", "B♭ major", "B major", "C major"]);
    expect(from("C", "relative-pairs")).toEqual(["C major", "A minor", "G major", "E minor"]);
    expect(new Set(told(rotation(key("F♯m"), "fifths-up"))).size).toBe(12);
  });

  test("a week that asks too much is made to fit by fewer times or fewer minutes", () => {
    const times = { windows: [], lesson: null, dates: [], limits: null };
    const items = [1, 2, 3, 4].map((n) =>
      newItem(`00000000-0000-4000-8000-00000000000${n}`, { title: `${n}`, minutes: 15 }),
    );
    const inputs = {
      from: MONDAY,
      until: addDays(MONDAY, 7),
      text: { items, word: "", shape: null },
      times,
      before: { lastDay: {}, raw: [] },
    };
    const preview = (all: readonly AssignmentItem[]) =>
      previewOf({ ...inputs, text: { ...inputs.text, items: [...all] } });
    expect(preview(items).notes.length).toBeGreaterThan(0);
    for (const fix of FIXES) {
      const less = fitted(items, { fix, preview, raw: new Set() })!;
      const { notes, asked } = preview(less);
      expect(notes).toEqual([]);
      expect(asked.minutes).toBeGreaterThanOrEqual(60);
    }
  });

  test("what gives way is what matters least, and nothing raw is left to one day", () => {
    const kinds = ["listening", "piece", "piece", "theory"] as const;
    const items = kinds.map((kind, n) =>
      newItem(`00000000-0000-4000-8000-00000000000${n}`, {
        ...{ kind, title: `${n}`, minutes: n === 1 ? 30 : 10 },
        passageId: kind === "piece" ? `00000000-0000-4000-8000-0000000000a${n}` : null,
      }),
    );
    const raw = new Set([items[1]!.passageId!]);
    const at = (minutes: number) => (all: readonly AssignmentItem[]) =>
      previewOf({
        ...{ from: MONDAY, until: addDays(MONDAY, 7), before: { lastDay: {}, raw: [...raw] } },
        text: { items: [...all], word: "", shape: null },
        times: {
          windows: [0, 1, 2, 3, 4, 5, 6].map((weekday) => ({ weekday, from: "17:00", minutes })),
          ...{ lesson: null, dates: [], limits: null },
        },
      });
    const timesOf = (minutes: number) =>
      fitted(items, { fix: "fewer-times", preview: at(minutes), raw })?.map(({ often }) =>
        often.kind === "times" ? often.times : often.kind === "daily" ? 7 : 3.5,
      );
    const found = [70, 60, 55, 50, 45, 40, 35].flatMap((minutes) => {
      const times = timesOf(minutes);
      return times ? [times] : [];
    });
    expect(found.length).toBeGreaterThan(2);
    for (const [listening, rawOne, , theory] of found) {
      expect(rawOne).toBeGreaterThanOrEqual(Math.max(2, listening!, theory!));
    }
    expect(found.some(([listening, rawOne]) => listening! < rawOne!)).toBe(true);
  });

  test("what was clean comes back later than what was not, and every clean review later again", () => {
    const on = (n: number, clean: number) => ({ day: addDays(MONDAY, n), plays: 10, clean });
    const clean = reviewIn([on(0, 10)], MONDAY);
    expect(clean).toBeGreaterThan(reviewIn([on(0, 4)], MONDAY));
    const again = reviewIn([on(0, 10), on(clean, 10)], addDays(MONDAY, clean));
    expect(again).toBeGreaterThan(clean);
    expect(reviewIn([], MONDAY)).toBe(0);
    expect(reviewIn([on(0, 10)], addDays(MONDAY, 100))).toBeLessThan(0);
  });
});
