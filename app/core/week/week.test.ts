import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import * as v from "valibot";
import { addDays, daysBetween } from "~/core/units";
import {
  keyOfWeek,
  layOutWeek,
  leastMinutes,
  memoryPlanSchema,
  memoryStanding,
  nextGoal,
  reviewIn,
  timesSchema,
  type LayoutItem,
  type Often,
} from "./index";

const MONDAY = "2026-05-04";
const week = (minutes: readonly number[]) =>
  minutes.map((each, n) => ({ day: addDays(MONDAY, n), minutes: each }));

const item = (id: string, often: Often, change: Partial<LayoutItem> = {}): LayoutItem => ({
  id,
  often,
  minutes: 10,
  hard: false,
  doneOn: [],
  ...change,
});
const times = (n: number): Often => ({ kind: "times", times: n });
const daily: Often = { kind: "daily" };

const oftens = fc.oneof(
  fc.constant(daily),
  fc.constant<Often>({ kind: "every-other" }),
  fc.integer({ min: 1, max: 7 }).map(times),
);
const items = fc
  .array(
    fc.record({ often: oftens, minutes: fc.integer({ min: 1, max: 40 }), hard: fc.boolean() }),
    { maxLength: 12 },
  )
  .map((all) => all.map((each, n): LayoutItem => ({ id: `${n}`, doneOn: [], ...each })));
const weeks = fc
  .array(fc.constantFrom(0, 10, 20, 30, 60), { minLength: 7, maxLength: 7 })
  .map(week);

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
          const wanted =
            often.kind === "daily"
              ? withTime
              : often.kind === "times"
                ? Math.min(withTime, often.times)
                : Math.ceil(withTime / 2);
          const out = layout.notes.find((note) => note.kind === "falls-out" && note.itemId === id);
          expect(daysOf(layout, id).length + (out?.kind === "falls-out" ? out.times : 0)).toBe(
            wanted,
          );
        }
      }),
    );
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
    expect(all.notes).toEqual([]);
    // Monday and Tuesday were missed: on Wednesday each fits once.
    const late = layOutWeek(asked, days, addDays(MONDAY, 2));
    expect(late.days[0]!.items).toHaveLength(2);
    expect(late.days[0]!.load).toBe(20);
    expect(late.notes).toEqual([{ kind: "falls-out", itemId: "a", times: 2 }]);
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
    const read = v.safeParse(timesSchema, { windows, lesson });
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
});

describe("by heart to a date", () => {
  const plan = {
    unit: "bars" as const,
    total: 56,
    from: MONDAY,
    concert: addDays(MONDAY, 42),
    marginWeeks: 2,
  };
  test("says what should stand, and days ahead or behind", () => {
    // 28 days, two bars a day.
    expect(memoryStanding(plan, 20, addDays(MONDAY, 8))).toEqual({
      ready: addDays(MONDAY, 28),
      should: 16,
      aheadDays: 2,
      perDay: 1.8,
    });
    expect(memoryStanding(plan, 8, addDays(MONDAY, 8)).aheadDays).toBe(-4);
    expect(memoryStanding(plan, 54, addDays(MONDAY, 30)).aheadDays).toBe(-3);
  });
  test("without a day to learn on it is refused", () => {
    const read = v.safeParse(memoryPlanSchema, { ...plan, marginWeeks: 6 });
    expect(read.success).toBe(false);
  });
});

describe("goals, keys and reviews", () => {
  test("a goal is raised a little when reached, kept when nearly, lowered when far below", () => {
    const goal = { minutes: 100, days: 4 };
    const free = { minutes: 300, days: 7 };
    expect(nextGoal(goal, { minutes: 120, days: 5 }, free)).toEqual({
      minutes: 110,
      days: 5,
      move: "raised",
    });
    expect(nextGoal(goal, { minutes: 90, days: 4 }, free)).toEqual({
      minutes: 100,
      days: 4,
      move: "kept",
    });
    expect(nextGoal(goal, { minutes: 20, days: 1 }, free)).toEqual({
      minutes: 75,
      days: 3,
      move: "lowered",
    });
    expect(nextGoal(goal, { minutes: 120, days: 5 }, { minutes: 105, days: 4 }).minutes).toBe(105);
  });

  test("keys go round week by week", () => {
    const keys = ["C", "G", "D"];
    const at = (days: number) => keyOfWeek(keys, MONDAY, addDays(MONDAY, days));
    expect([0, 6, 7, 20, 21].map(at)).toEqual(["C", "C", "G", "D", "C"]);
    expect(keyOfWeek([], MONDAY, MONDAY)).toBeUndefined();
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
