import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { addDays, daysBetween, type Day } from "~/core/units";
import { newItem, type Often } from "./assignment";
import { askedBy, itemDays, toKeep, type KeptItem } from "./item-days";
import type { LayoutItem } from "./layout";
import { planWeek, type WeekFacts } from "./plan-week";
import { daily, item, items, MONDAY, times, week, weeks } from "./test/weeks";

const NOTHING = { practised: () => undefined, kept: () => [] };

describe("a week as it went", () => {
  const full = week(Array.from({ length: 7 }, () => 30));
  const went = (
    often: Often,
    today: number,
    minutes: Readonly<Record<number, number>>,
    change: { goalPassed?: boolean; enough?: boolean } = {},
  ) => {
    const one = { id: "a", often, minutes: 10, hard: false };
    const practised = (_id: string, day: string) => {
      const played = minutes[daysBetween(MONDAY, day)];
      const said = { goalPassed: false, enough: false, ...change };
      return played === undefined ? undefined : { minutes: played, ...said };
    };
    const history = { practised, kept: () => [] };
    return itemDays({ items: [one], days: full }, history, addDays(MONDAY, today));
  };
  const askedOn = ({ days }: ReturnType<typeof went>) =>
    days.flatMap(({ items: all }, n) => (all.length > 0 ? [n] : []));

  test("one short play doesn't make an item done; four fifths of its minutes do", () => {
    const of = (played: number) => went(daily, 0, { 0: played }).days[0]!.items[0]!;
    expect(of(1)).toEqual({ itemId: "a", minutes: 10, practised: 1, done: false });
    expect(of(8).done).toBe(true);
    expect(went(daily, 0, { 0: 1 }, { enough: true }).days[0]!.items[0]!.done).toBe(true);
    expect(went(daily, 0, { 0: 1 }, { goalPassed: true }).days[0]!.items[0]!.done).toBe(true);
  });

  test("what comes in or goes out on a later day leaves the mornings before it as they were", () => {
    fc.assert(
      fc.property(items, weeks, fc.nat(6), fc.nat(6), (all, days, n, later) => {
        const [moved, today] = [Math.min(n, later), addDays(MONDAY, Math.max(n, later))];
        const on = addDays(MONDAY, moved);
        const went = (laid: readonly LayoutItem[]) =>
          itemDays({ days, items: laid }, NOTHING, today).days;
        const one = item("one", daily);
        const [came, gone] = [
          { ...one, since: on },
          { ...one, until: on },
        ];
        const before = (laid: ReturnType<typeof went>) => laid.filter(({ day }) => day < on);
        expect(before(went([...all, came]))).toEqual(before(went(all)));
        expect(before(went([...all, gone]))).toEqual(before(went([...all, one])));
        const asked = (alone: LayoutItem) =>
          went([alone]).flatMap(({ day, items: laid }) => (laid.length > 0 ? [day] : []));
        const roomy = days.flatMap(({ day, room }) => (room >= 5 ? [day] : []));
        expect(asked(came)).toEqual(roomy.filter((day) => day >= on));
        expect(asked(gone)).toEqual(roomy.filter((day) => day < on));
      }),
    );
  });

  test("a day half done is owed again; done on another day, it is not asked twice", () => {
    expect(askedOn(went(times(2), 0, {}))).toHaveLength(2);
    const [first, second] = askedOn(went(times(2), 0, {}));
    const half = went(times(2), first! + 1, { [first!]: 3 });
    expect(askedOn(half)).toHaveLength(3);
    const early = went(times(2), first! + 1, { [first!]: 10, [first! + 1]: 10 });
    expect(askedOn(early)).not.toContain(second);
  });

  test("whatever is changed later, days that are over have asked what they asked", () => {
    fc.assert(
      fc.property(items, weeks, items, weeks, fc.nat(6), (all, days, others, roomier, n) => {
        const today = addDays(MONDAY, n);
        const was = itemDays({ items: all, days }, NOTHING, today);
        const byDay = new Map<string, KeptItem[]>();
        for (const { day, ...each } of toKeep(was.days, today)) {
          byDay.set(day, [...(byDay.get(day) ?? []), each]);
        }
        const history = { ...NOTHING, kept: (day: string) => byDay.get(day) ?? [] };
        // Other minutes, other days, other times: the same items, changed from today on.
        const changed = all.map((each, i) => ({ ...(others[i] ?? each), id: each.id }));
        const is = itemDays({ items: changed, days: roomier }, history, today);
        const before = ({ days: told }: typeof is) =>
          told.filter(({ day }) => day < today).map(({ day, items: asked }) => [day, asked]);
        expect(before(is)).toEqual(before(was));
        // Each item of each day that is over is either asked or spared, and the sum is what they ask.
        for (const { items: asked, spared, load } of was.days) {
          expect(asked.length + spared.length).toBe(all.length);
          expect(load).toBe(asked.reduce((sum, { minutes }) => sum + minutes, 0));
        }
        const minutes = is.days.flatMap((day) => day.items.map((each) => each.minutes));
        expect(askedBy(is.days).minutes).toBe(minutes.reduce((sum, each) => sum + each, 0));
      }),
    );
  });

  test("days that are over keep what they asked, and today what this morning asked", () => {
    const before = askedOn(went({ kind: "every-other" }, 0, {}));
    expect(before).toEqual([0, 2, 4, 6]);
    const now = went({ kind: "every-other" }, 2, { 0: 10, 2: 10 });
    expect(askedOn(now)).toEqual(before);
    expect(now.days[2]!.items[0]!.done).toBe(true);
  });
});

describe("a tempo that the week is for", () => {
  const PASSAGE = "00000000-0000-4000-8000-0000000000aa";
  const on = (n: number) => addDays(MONDAY, n);
  const passed = (at: Readonly<Record<Day, number>>): WeekFacts => ({
    ...{ spent: { [PASSAGE]: at }, enough: [], hurtOn: [], kept: {} },
    reached: { [PASSAGE]: at },
  });
  const scales = newItem("scales", { title: "Scales", minutes: 30 });
  const ferry = newItem("ferry", {
    title: "Ferry",
    passageId: PASSAGE,
    goalTempo: 84,
    minutes: 10,
  });
  const thirtyMinutes = {
    windows: [0, 1, 2, 3, 4, 5, 6].map((weekday) => ({ weekday, from: "17:00", minutes: 30 })),
    ...{ lesson: null, dates: [], limits: null },
  };
  const went = (facts: WeekFacts, today: number, items = [scales, ferry]) =>
    planWeek({
      week: { from: MONDAY, since: MONDAY, until: on(7), items },
      ...{ times: thirtyMinutes, facts, raw: new Set<string>(), today: on(today) },
    });
  const minutesOf = (plan: ReturnType<typeof went>, id: string) =>
    plan.days.map(({ items: all }) => all.find(({ itemId }) => itemId === id)?.minutes ?? 0);

  test("once passed, asks for no more days, and its minutes go to the others", () => {
    const before = went(passed({ [on(1)]: 83 }), 2);
    expect(minutesOf(before, "ferry").every((minutes) => minutes > 0)).toBe(true);
    const plan = went(passed({ [on(1)]: 84 }), 2);
    expect(minutesOf(plan, "ferry").map((minutes) => minutes > 0)).toEqual([
      true,
      true,
      false,
      false,
      false,
      false,
      false,
    ]);
    expect(plan.reached.get("ferry")).toBe(on(1));
    expect(plan.days[1]!.items.find(({ itemId }) => itemId === "ferry")!.done).toBe(true);
    expect(plan.days[2]!.spared).toEqual([{ itemId: "ferry", why: "reached" }]);
    // Nothing of it is told to fall out, however often it was to come.
    const thrice = { ...ferry, often: { kind: "times" as const, times: 3 } };
    expect(went(passed({ [on(1)]: 84 }), 5, [thrice]).notes).toEqual([]);
    expect(minutesOf(plan, "scales")[2]).toBeGreaterThan(minutesOf(before, "scales")[2]!);
    // What is passed today was asked this morning.
    const today = went(passed({ [on(1)]: 84 }), 1);
    expect(minutesOf(today, "ferry").map((minutes) => minutes > 0)).toEqual([
      true,
      true,
      false,
      false,
      false,
      false,
      false,
    ]);
  });

  test("a higher one from a day on is asked again; passed the week before, it counts for nothing", () => {
    const raised = [
      { ...ferry, until: on(3) },
      { ...ferry, since: on(3), goalTempo: 92 },
    ];
    const plan = went(passed({ [on(1)]: 84 }), 3, [scales, ...raised]);
    expect(minutesOf(plan, "ferry").map((minutes) => minutes > 0)).toEqual([
      true,
      true,
      false,
      true,
      true,
      true,
      true,
    ]);
    expect(plan.reached.size).toBe(0);
    const earlier = went(passed({ [on(-1)]: 100 }), 2);
    expect(minutesOf(earlier, "ferry").every((minutes) => minutes > 0)).toBe(true);
  });
});
