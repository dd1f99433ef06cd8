import { daysBetween, type Day } from "~/core/units";
import type { Often } from "./assignment";

export interface LayoutItem {
  readonly id: string;
  readonly often: Often;
  /** What it should have on a day; the least is half of it. */
  readonly minutes: number;
  /** A passage that can't be played yet: it rests two days at most. */
  readonly hard: boolean;
  /** Days of this week on which it was practised. */
  readonly doneOn: readonly Day[];
  /** When it was practised last before this week. */
  readonly lastBefore?: Day | undefined;
}

export interface LayoutDay {
  readonly day: Day;
  /** Minutes that there are. */
  readonly minutes: number;
}

export interface LaidItem {
  readonly itemId: string;
  readonly minutes: number;
}

export interface LaidDay extends LayoutDay {
  readonly items: readonly LaidItem[];
  /** Minutes that the items take. */
  readonly load: number;
}

/** What could not be placed as asked, and why. */
export type LayoutNote =
  | { readonly kind: "falls-out"; readonly itemId: string; readonly times: number }
  | { readonly kind: "rests"; readonly itemId: string; readonly days: number; readonly to: Day };

export interface WeekLayout {
  readonly days: readonly LaidDay[];
  readonly notes: readonly LayoutNote[];
}

/** A hard passage is played again on the third day at the latest. */
const MOST_DAYS_APART = 3;

export const leastMinutes = (minutes: number): number => Math.ceil(minutes / 2);

/** How often something is asked in a stretch of so many days with time. */
export function timesIn(often: Often, days: number): number {
  switch (often.kind) {
    case "daily":
      return days;
    case "every-other":
      return Math.ceil(days / 2);
    case "times":
      return Math.min(days, often.times);
  }
}

interface Bench {
  readonly days: readonly LayoutDay[];
  /** Minutes taken by day, at the items' least. */
  readonly taken: number[];
  readonly placed: Map<string, number[]>;
}

const fits = ({ days, taken }: Bench, index: number, least: number): boolean =>
  taken[index]! + least <= days[index]!.minutes;

function place(bench: Bench, { id, minutes }: LayoutItem, index: number): void {
  bench.taken[index]! += leastMinutes(minutes);
  bench.placed.get(id)!.push(index);
}

/** The distance in days to the nearest other day of the same item; far when there is none. */
function distance(bench: Bench, item: LayoutItem, index: number): number {
  const day = bench.days[index]!.day;
  const others = [
    ...bench.placed.get(item.id)!.map((each) => bench.days[each]!.day),
    ...item.doneOn,
    ...(item.lastBefore ? [item.lastBefore] : []),
  ];
  return Math.min(7, ...others.map((other) => Math.abs(daysBetween(other, day))));
}

/** Free days for one more time, best first: far from its other days, then where most is free. */
function bestDay(bench: Bench, item: LayoutItem): number | undefined {
  const least = leastMinutes(item.minutes);
  const mine = bench.placed.get(item.id)!;
  let best: { index: number; far: number; free: number } | undefined;
  for (const [index, { minutes }] of bench.days.entries()) {
    if (mine.includes(index) || minutes === 0 || !fits(bench, index, least)) continue;
    const far = distance(bench, item, index);
    const free = 1 - bench.taken[index]! / minutes;
    const better = !best || far > best.far || (far === best.far && free > best.free + 1e-9);
    if (better) best = { index, far, free };
  }
  return best?.index;
}

/** Where a hard item rests too long, another day in the middle of the rest, if there is one free. */
function shortenRests(bench: Bench, item: LayoutItem): LayoutNote[] {
  const least = leastMinutes(item.minutes);
  const dayOf = (index: number) => bench.days[index]!.day;
  for (;;) {
    const mine = bench.placed.get(item.id)!.toSorted((a, b) => a - b);
    const before = [...item.doneOn, ...(item.lastBefore ? [item.lastBefore] : [])]
      .toSorted()
      .at(-1);
    const stops = [...(before ? [before] : []), ...mine.map(dayOf)];
    const gap = stops.findIndex(
      (day, i) => i > 0 && daysBetween(stops[i - 1]!, day) > MOST_DAYS_APART,
    );
    if (gap < 0) return [];
    const [from, to] = [stops[gap - 1]!, stops[gap]!];
    const middle = daysBetween(from, to) / 2;
    const free = bench.days
      .map(({ day, minutes }, index) => ({ index, day, minutes }))
      .filter(({ index, day, minutes }) => {
        return day > from && day < to && minutes > 0 && fits(bench, index, least);
      })
      .toSorted(
        (a, b) =>
          Math.abs(daysBetween(from, a.day) - middle) - Math.abs(daysBetween(from, b.day) - middle),
      )[0];
    // Days that are over can't be used any more; that they were missed is told elsewhere.
    const between = bench.days.some(({ day }) => day > from && day < to);
    if (!free && !between) return [];
    if (!free) return [{ kind: "rests", itemId: item.id, days: daysBetween(from, to) - 1, to }];
    place(bench, item, free.index);
  }
}

/** Least minutes first; then everything grows together towards what it should have. */
function fill(day: LayoutDay, items: readonly LayoutItem[]): LaidDay {
  const given = new Map(items.map((item) => [item, leastMinutes(item.minutes)]));
  let free = day.minutes - [...given.values()].reduce((sum, each) => sum + each, 0);
  while (free > 0) {
    const next = items
      .filter((item) => given.get(item)! < item.minutes)
      .toSorted((a, b) => given.get(a)! / a.minutes - given.get(b)! / b.minutes)[0];
    if (!next) break;
    given.set(next, given.get(next)! + 1);
    free--;
  }
  const laid = items.map((item) => ({ itemId: item.id, minutes: given.get(item)! }));
  return { ...day, items: laid, load: laid.reduce((sum, each) => sum + each.minutes, 0) };
}

/**
 * Lays items over the days that are left (all of them, on the first day). What was done counts; a
 * missed day is spread over the rest and never piled up, no day gets more than its minutes, and
 * what does not fit any more is told. The same input gives the same week.
 */
export function layOutWeek(
  items: readonly LayoutItem[],
  week: readonly LayoutDay[],
  today: Day,
): WeekLayout {
  const ahead = week.filter(({ day }) => day >= today);
  const withTime = week.filter(({ minutes }) => minutes > 0);
  const bench: Bench = {
    days: ahead,
    taken: ahead.map(() => 0),
    placed: new Map(items.map(({ id }) => [id, []])),
  };
  const notes: LayoutNote[] = [];
  const owed = new Map(
    items.map((item) => {
      const rest = ahead.filter(({ day, minutes }) => minutes > 0 && !item.doneOn.includes(day));
      const all = timesIn(item.often, withTime.length) - item.doneOn.length;
      // A missed daily time is gone: every day once, not twice.
      return [item, item.often.kind === "daily" ? rest.length : Math.max(0, all)];
    }),
  );
  // What is done today takes its minutes today, and is not laid out again.
  for (const item of items) {
    const index = ahead.findIndex(({ day }) => item.doneOn.includes(day));
    if (index >= 0) bench.taken[index]! += leastMinutes(item.minutes);
  }
  const rank = (item: LayoutItem) => (item.hard ? 0 : 1) + (item.often.kind === "daily" ? 0 : 2);
  for (const item of items.toSorted((a, b) => rank(a) - rank(b))) {
    let missing = 0;
    const mine = bench.placed.get(item.id)!;
    for (let n = owed.get(item)!; n > 0; n--) {
      const index = bestDay(bench, item);
      if (index === undefined || item.doneOn.includes(ahead[index]!.day)) missing++;
      else place(bench, item, index);
    }
    if (item.hard && mine.length > 0) notes.push(...shortenRests(bench, item));
    if (missing > 0) notes.push({ kind: "falls-out", itemId: item.id, times: missing });
  }
  const days = ahead.map((day, index) => {
    const here = items.filter(({ id }) => bench.placed.get(id)!.includes(index));
    return fill(day, here);
  });
  return { days, notes };
}
