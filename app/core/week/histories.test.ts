import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { addDays, type Day } from "~/core/units";
import { newItem, type AssignmentItem, type Often } from "./assignment";
import type { WeekTimes } from "./availability";
import { isDone } from "./done";
import { afterChanges, itemChanges, itemsNow } from "./item-changes";
import { askedBy, askedOf, doneOn, onDay, toKeep, type ItemDays, type KeptItem } from "./item-days";
import { planWeek, practisedOf, type PlannedWeek, type WeekFacts } from "./plan-week";
import { studentWeek } from "./student-week";

const HISTORIES = process.env.FIDUS_WHOLE === "1" ? 2000 : 200;
const MONDAY = "2026-05-04" as Day;
const DAYS = 14;
const PASSAGE = "00000000-0000-4000-8000-0000000000aa";

const oftens = fc.oneof(
  fc.constant<Often>({ kind: "daily" }),
  fc.constant<Often>({ kind: "every-other" }),
  fc.integer({ min: 1, max: 5 }).map((times): Often => ({ kind: "times", times })),
);
const said = fc.record({
  often: oftens,
  minutes: fc.integer({ min: 1, max: 30 }),
  /** Of the passage, with a tempo for the week. */
  played: fc.boolean(),
});
const week = fc.array(said, { minLength: 1, maxLength: 5 });
const roomOf = fc.array(fc.constantFrom(0, 10, 25, 60, 240), { minLength: 7, maxLength: 7 });
const minutes = fc.integer({ min: 1, max: 90 }).map((tenths) => tenths / 2);

/** What may happen on a day; what comes late belongs to a day before. */
const happening = fc.oneof(
  fc.record({ kind: fc.constant("practised" as const), item: fc.nat(4), minutes, ago: fc.nat(3) }),
  fc.record({ kind: fc.constant("reached" as const), tempo: fc.constantFrom(60, 80, 100) }),
  fc.record({ kind: fc.constant("enough" as const), item: fc.nat(4) }),
  fc.record({ kind: fc.constant("hurt" as const) }),
  fc.record({ kind: fc.constant("times" as const), room: roomOf }),
  fc.record({ kind: fc.constant("away" as const), days: fc.integer({ min: 1, max: 4 }) }),
  fc.record({ kind: fc.constant("raw" as const), raw: fc.boolean() }),
  fc.record({ kind: fc.constant("changed" as const), week }),
);
type Happening = typeof happening extends fc.Arbitrary<infer T> ? T : never;

const sum = (all: readonly number[]) => all.reduce((total, each) => total + each, 0);

const itemsFrom = (all: readonly (typeof said extends fc.Arbitrary<infer T> ? T : never)[]) =>
  all.map(({ often, minutes: each, played }, n) =>
    newItem(`item-${n}`, {
      ...{ often, minutes: each, title: `Item ${n}` },
      ...(played && n === 0 ? { passageId: PASSAGE, goalTempo: 80 } : {}),
    }),
  );

const timesOf = (room: readonly number[]): WeekTimes => ({
  windows: room.flatMap((each, weekday) =>
    each > 0 ? [{ weekday, from: "08:00", minutes: each }] : [],
  ),
  ...{ lesson: null, dates: [], limits: null },
});

/** What days that are over ask of which items, and why not. */
const overOf = ({ days }: ItemDays, today: Day) =>
  days
    .filter(({ day }) => day < today)
    .map(({ day, items, spared }): [Day, string[]] => [
      day,
      [
        ...items.map((each) => `${each.itemId} ${each.minutes}`),
        ...spared.map(({ itemId, why }) => `${itemId} ${why}`),
      ].toSorted(),
    ]);

/** A week as it is lived: what was said and done, and what of it was kept. */
class History {
  today = MONDAY;
  private items: readonly AssignmentItem[];
  private times: WeekTimes;
  private raw: ReadonlySet<string> = new Set();
  private spent: Record<string, Record<Day, number>> = {};
  private reached: Record<string, Record<Day, number>> = {};
  private enough: { itemId: string; day: Day }[] = [];
  private hurtOn: Day[] = [];
  private readonly kept: Record<Day, KeptItem[]> = {};

  constructor(first: readonly AssignmentItem[], room: readonly number[]) {
    this.items = afterChanges(
      { from: MONDAY, items: [] },
      itemChanges({ from: MONDAY, items: [] }, first, MONDAY),
    );
    this.times = timesOf(room);
  }

  private get facts(): WeekFacts {
    const { spent, reached, enough, hurtOn, kept } = this;
    return { spent, reached, enough, hurtOn, kept };
  }

  private get span() {
    const { items } = this;
    return { from: MONDAY, since: MONDAY, until: addDays(MONDAY, DAYS), items };
  }

  plan(facts = this.facts): PlannedWeek {
    const { span, times, raw, today } = this;
    return planWeek({ week: span, times, facts, raw, today });
  }

  /** Whoever asks keeps what the days that are over have asked; a second one changes nothing. */
  keep(): void {
    for (const { day, ...each } of toKeep(this.plan().days, this.today)) {
      const all = (this.kept[day] ??= []);
      if (!all.some(({ itemId }) => itemId === each.itemId)) all.push(each);
    }
  }

  practises({ item, minutes: long, ago }: Extract<Happening, { kind: "practised" }>): void {
    const day = addDays(this.today, -ago);
    const { passageId, id } = this.items[item % this.items.length]!;
    const days = (this.spent[passageId ?? id] ??= {});
    days[day] = (days[day] ?? 0) + long;
  }

  happens(it: Happening): void {
    // Nothing is changed before it is kept what there was.
    this.keep();
    const ids = [...new Set(this.items.map(({ id }) => id))];
    switch (it.kind) {
      case "practised":
        return this.practises(it);
      case "reached":
        (this.reached[PASSAGE] ??= {})[this.today] = it.tempo;
        (this.spent[PASSAGE] ??= {})[this.today] ??= 1;
        return;
      case "enough":
        this.enough.push({ itemId: ids[it.item % ids.length]!, day: this.today });
        return;
      case "hurt":
        this.hurtOn.push(this.today);
        return;
      case "times":
        this.times = timesOf(it.room);
        return;
      case "away":
        this.times = {
          ...this.times,
          dates: Array.from({ length: it.days }, (_, n) => ({
            ...{ day: addDays(this.today, n), minutes: 0 },
          })),
        };
        return;
      case "raw":
        this.raw = new Set(it.raw ? [PASSAGE] : []);
        return;
      case "changed": {
        const { items, earlier } = itemsNow(this.items);
        const before = { from: MONDAY, items: [...earlier, ...items] };
        this.items = afterChanges(before, itemChanges(before, itemsFrom(it.week), this.today));
      }
    }
  }

  /** What the pages draw of it adds up, and nothing is done twice or by another measure. */
  addsUp(plan: PlannedWeek): void {
    const { items, facts, today, times } = this;
    const ids = [...new Set(items.map(({ id }) => id))];
    const { days } = plan;
    const practised = practisedOf(items, facts);
    const asked = askedBy(days);
    // Told only where it differs: a matcher for each number takes longer than the reckoning.
    const told: unknown[] = [];
    const should: unknown[] = [];
    const is = (what: unknown, is: unknown) => {
      if (JSON.stringify(what) === JSON.stringify(is)) return;
      told.push(what);
      should.push(is);
    };
    is(asked.minutes, sum(ids.flatMap((id) => askedOf(days, id))));
    for (const [n, { day, items: laid, spared, load, room, extra }] of days.entries()) {
      is(day, addDays(MONDAY, n));
      is(load, sum(laid.map((each) => each.minutes)));
      is(day <= today || load <= room, true);
      const named = [...laid, ...spared].map(({ itemId }) => itemId);
      is(new Set(named).size, named.length);
      for (const { itemId, minutes: of, practised: came, done } of laid) {
        const what = practised(itemId, day);
        is(Number.isInteger(of) && of > 0, true);
        is([came, done], [what?.minutes ?? 0, Boolean(what && isDone(what, of))]);
      }
      for (const id of extra) {
        is(
          laid.some(({ itemId }) => itemId === id),
          false,
        );
        is(isDone(practised(id, day)!, onDay(items, id, day).minutes), true);
      }
      is(day > today && (extra.length > 0 || laid.some(({ done }) => done)), false);
    }
    // As the week's page, board, Today, sheet and parent's page are told it.
    const drawn = studentWeek(
      {
        week: {
          ...{ id: null, from: MONDAY, until: addDays(MONDAY, DAYS), since: MONDAY },
          text: { items: [...itemsNow(items).items], word: "", shape: null },
        },
        ...{ times, passages: [], spent: facts.spent, besides: [], today },
      },
      plan,
    );
    is(drawn.asked, asked);
    is(
      drawn.days.map((each) => each.asked),
      days.map((each) => each.items),
    );
    for (const item of drawn.items) {
      const done = item.practised.flatMap((each) => (each.done ? [each.day] : []));
      is(done, doneOn(days, item.id));
    }
    is(drawn.played.minutes, sum(drawn.days.map(({ played }) => played)));
    expect(told).toEqual(should);
  }

  /** Practice that arrives late counts on its own day, and no day before or after asks otherwise. */
  takesLate(plan: ItemDays): void {
    const day = addDays(this.today, -1);
    const item = this.items[0]!;
    const of = item.passageId ?? item.id;
    const spent = { ...this.spent, [of]: { ...this.spent[of], [day]: 200 } };
    const late = this.plan({ ...this.facts, spent });
    expect(overOf(late, this.today)).toEqual(overOf(plan, this.today));
    // Today may be freed by it.
    const elsewhere = (days: readonly Day[]) => days.filter((each) => each < day);
    expect(elsewhere(doneOn(late.days, item.id))).toEqual(elsewhere(doneOn(plan.days, item.id)));
  }
}

const overDays = fc.array(fc.array(happening, { maxLength: 2 }), {
  minLength: DAYS,
  maxLength: DAYS,
});

test("whatever happens in two weeks, what is asked adds up, and days that are over stand", () => {
  fc.assert(
    fc.property(week, roomOf, overDays, fc.boolean(), (first, room, days, isRead) => {
      const lived = new History(itemsFrom(first), room);
      const seen = new Map<Day, string>();
      for (const each of days) {
        for (const one of each) lived.happens(one);
        // Somebody looks every day, or only when something happens.
        if (isRead) lived.keep();
        const plan = lived.plan();
        lived.addsUp(plan);
        if (lived.today > MONDAY) {
          lived.keep();
          lived.takesLate(plan);
        }
        for (const [day, told] of overOf(plan, lived.today)) {
          if (seen.has(day) && seen.get(day) !== `${told}`) expect(told).toEqual(seen.get(day));
          seen.set(day, `${told}`);
        }
        lived.today = addDays(lived.today, 1);
      }
    }),
    { numRuns: HISTORIES },
  );
});

test("a week that nobody looked at was asked as one that was looked at every morning", () => {
  fc.assert(
    fc.property(week, roomOf, fc.array(fc.nat(4), { maxLength: DAYS }), (first, room, played) => {
      const [looked, alone] = [0, 1].map(() => new History(itemsFrom(first), room));
      for (let n = 0; n < DAYS; n++) {
        for (const each of [looked!, alone!]) each.today = addDays(MONDAY, n);
        looked!.keep();
        const item = played[n];
        if (item === undefined) continue;
        const it = { kind: "practised" as const, item, minutes: 15, ago: 0 };
        looked!.happens(it);
        alone!.practises(it);
      }
      expect(alone!.plan()).toEqual(looked!.plan());
    }),
    { numRuns: HISTORIES / 4 },
  );
});
