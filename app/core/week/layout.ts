import { daysBetween, type Day } from "~/core/units";
import type { Often } from "./assignment";
import { waysApart, waysEveryOther, type FreeDay } from "./spread";

export interface LayoutItem {
  readonly id: string;
  readonly often: Often;
  /** What it should have on a day; the least is half of it. */
  readonly minutes: number;
  /** A passage that can't be played yet: it rests two days at most. */
  readonly hard: boolean;
  /** Days of this week on which it was done. */
  readonly doneOn: readonly Day[];
  /** The first day that may ask for it; the week's first without one. */
  readonly since?: Day | null;
  /** The first day that asks for it no more; none in this week without one. */
  readonly until?: Day | null;
  /** When it was practised last before this week. */
  readonly lastBefore?: Day | undefined;
}

export interface LayoutDay {
  readonly day: Day;
  /** Minutes that there are. */
  readonly minutes: number;
  /** Of these for what is asked: the rest is warm-up, breaks and the finish. */
  readonly room: number;
  /** The day of a lesson that didn't bring another week: it asks nothing. */
  readonly lesson?: true;
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
  | { readonly kind: "rests"; readonly itemId: string; readonly days: number; readonly to: Day }
  /** Minutes that all of it would need, and what the days have for it. */
  | { readonly kind: "too-much"; readonly asked: number; readonly laid: number };

export interface WeekLayout {
  readonly days: readonly LaidDay[];
  readonly notes: readonly LayoutNote[];
}

/** A hard passage is played again on the third day at the latest. */
const MOST_DAYS_APART = 3;
const WEEK_DAYS = 7;
/** Placements tried before the first that fits part of it is taken. */
const MOST_TRIES = 4000;
const MOST_WAYS = 24;
/** A minute here or there is nothing to talk about. */
const SQUEEZED = 0.95;

/**
 * Whether an item could rest too long at all: only what comes once or twice a week can, and only of
 * these it has to be known whether they can be played yet.
 */
export const mayRestLong = (often: Often): boolean => often.kind === "times" && often.times <= 2;

export const leastMinutes = (minutes: number): number => Math.ceil(minutes / 2);

interface Bench {
  readonly days: readonly LayoutDay[];
  /** Minutes taken by day, at the items' least. */
  readonly taken: number[];
  readonly placed: ReadonlyMap<string, number[]>;
}

/** One item in one week of the assignment: how often it is still to come there. */
interface Task {
  readonly item: LayoutItem;
  readonly least: number;
  readonly from: Day;
  readonly until: Day;
  readonly owed: number;
}

const within = (day: Day, { from, until }: Pick<Task, "from" | "until">) =>
  day >= from && day < until;

const isAsked = ({ since, until }: LayoutItem, day: Day): boolean =>
  day >= (since ?? day) && (!until || day < until);

/** A day on which an item may still be put. */
const isOpen = (item: LayoutItem, day: Day): boolean =>
  isAsked(item, day) && !item.doneOn.includes(day);

function freeDays(bench: Bench, { item, least, from, until }: Task): FreeDay[] {
  const mine = bench.placed.get(item.id)!;
  return bench.days.flatMap(({ day, room }, index) => {
    const open = within(day, { from, until }) && isOpen(item, day);
    if (!open || room < least || mine.includes(index)) return [];
    return bench.taken[index]! + least > room
      ? []
      : [{ index, day, taken: bench.taken[index]! / room }];
  });
}

/** Ways to place `count` times, best first. */
function waysOf(bench: Bench, task: Task, count: number): (readonly FreeDay[])[] {
  const { item, from } = task;
  const free = freeDays(bench, task);
  if (count === 0 || free.length < count) return count === 0 ? [[]] : [];
  if (item.often.kind === "daily") return [free.slice(0, count)];
  const earlier = bench.placed.get(item.id)!.map((index) => bench.days[index]!.day);
  const before = [...item.doneOn, ...earlier, ...(item.lastBefore ? [item.lastBefore] : [])]
    .toSorted()
    .filter((day) => day < from || item.often.kind === "every-other")
    .at(-1);
  if (item.often.kind === "every-other") {
    return waysEveryOther(free, before)
      .filter(({ length }) => length >= count)
      .map((way) => way.slice(0, count));
  }
  const done = item.doneOn.filter((day) => within(day, task));
  return waysApart(free, count, done, before).slice(0, MOST_WAYS);
}

function put(bench: Bench, { item, least }: Task, way: readonly FreeDay[]): void {
  for (const { index } of way) {
    bench.taken[index]! += least;
    bench.placed.get(item.id)!.push(index);
  }
}

function takeBack(bench: Bench, { item, least }: Task, way: readonly FreeDay[]): void {
  for (const { index } of way) bench.taken[index]! -= least;
  bench.placed.get(item.id)!.length -= way.length;
}

/** Places all of it, trying other ways where one takes the room of another; whether it could. */
function placeAll(bench: Bench, tasks: readonly Task[], tries: { left: number }): boolean {
  const [task, ...rest] = tasks;
  if (!task) return true;
  for (const way of waysOf(bench, task, task.owed)) {
    if (tries.left-- <= 0) return false;
    put(bench, task, way);
    if (placeAll(bench, rest, tries)) return true;
    takeBack(bench, task, way);
  }
  return false;
}

/** Places as much of each as there is room for, in its order. */
function placeSome(bench: Bench, tasks: readonly Task[]): void {
  for (const task of tasks) {
    for (let count = task.owed; count > 0; count--) {
      const [best] = waysOf(bench, task, count);
      if (!best) continue;
      put(bench, task, best);
      break;
    }
  }
}

/** Where a hard item rests too long, another day in the middle of the rest, if there is one free. */
function shortenRests(bench: Bench, task: Task): LayoutNote[] {
  const { item } = task;
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
    const off = ({ day }: FreeDay) => Math.abs(daysBetween(from, day) - middle);
    const [free] = freeDays(bench, { ...task, from: bench.days[0]!.day, until: to })
      .filter(({ day }) => day > from)
      .toSorted((a, b) => off(a) - off(b));
    // Days that are over can't be used any more; that they were missed is told elsewhere.
    const between = bench.days.some(({ day }) => day > from && day < to);
    if (!free && !between) return [];
    if (!free) return [{ kind: "rests", itemId: item.id, days: daysBetween(from, to) - 1, to }];
    put(bench, task, [free]);
  }
}

/** Least minutes first; then everything grows together towards what it should have. */
function fill(day: LayoutDay, items: readonly LayoutItem[]): LaidDay {
  const given = new Map(items.map((item) => [item, leastMinutes(item.minutes)]));
  let free = day.room - [...given.values()].reduce((sum, each) => sum + each, 0);
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

/** How often an item is still to come: over the whole assignment, and week by week what can be. */
function tasksOf(item: LayoutItem, week: readonly LayoutDay[], today: Day) {
  const least = leastMinutes(item.minutes);
  const [first] = week;
  // What is asked no more falls out nowhere.
  if (!first || (item.until && item.until <= today)) return { wanted: 0, tasks: [] };
  const open = week.filter(({ day, minutes }) => day >= today && minutes > 0 && isOpen(item, day));
  const task = (from: Day, until: Day, owed: number): Task => ({ item, least, from, until, owed });
  const end = "9999-12-31";
  const roomy = open.filter(({ room }) => room >= least);
  const asFree = (days: readonly LayoutDay[]) =>
    days.map(({ day }, index): FreeDay => ({ day, index, taken: 0 }));
  if (item.often.kind === "daily") {
    // A missed daily time is gone: every day once, not twice.
    return { wanted: open.length, tasks: [task(first.day, end, roomy.length)] };
  }
  if (item.often.kind === "every-other") {
    const last = [...item.doneOn, ...(item.lastBefore ? [item.lastBefore] : [])].toSorted().at(-1);
    const count = (days: readonly LayoutDay[]) =>
      waysEveryOther(asFree(days), last)[0]?.length ?? 0;
    return { wanted: count(open), tasks: [task(first.day, end, count(roomy))] };
  }
  const { times } = item.often;
  let wanted = 0;
  const tasks: Task[] = [];
  for (let n = 0; n < week.length; n += WEEK_DAYS) {
    const days = week.slice(n, n + WEEK_DAYS);
    const span = { from: days[0]!.day, until: week[n + WEEK_DAYS]?.day ?? end };
    const inIt = (all: readonly LayoutDay[]) => all.filter(({ day }) => within(day, span)).length;
    const done = item.doneOn.filter((day) => within(day, span) && isAsked(item, day)).length;
    const withTime = days.filter(({ day, minutes }) => minutes > 0 && isAsked(item, day)).length;
    const owed = Math.max(0, Math.min(times, withTime) - done);
    // A week that is over owes nothing any more.
    if (days.at(-1)!.day >= today) wanted += owed;
    tasks.push(task(span.from, span.until, Math.min(owed, inIt(roomy))));
  }
  return { wanted, tasks };
}

const rank = (item: LayoutItem) => (item.hard ? 0 : 1) + (item.often.kind === "daily" ? 0 : 2);

/**
 * Lays items over the days that are left (all of them, on the first day). What is done counts; a
 * missed day is spread over the rest and never piled up, no day is given more than its room, and
 * what does not fit any more is told. Something falls out only where not all of it can be placed.
 * The same input gives the same week.
 */
export function layOutWeek(
  items: readonly LayoutItem[],
  week: readonly LayoutDay[],
  today: Day,
): WeekLayout {
  const ahead = week.filter(({ day }) => day >= today);
  const empty = (): Bench => ({
    days: ahead,
    taken: ahead.map(() => 0),
    placed: new Map(items.map(({ id }) => [id, []])),
  });
  const asked = items
    .toSorted((a, b) => rank(a) - rank(b))
    .map((item) => ({ item, ...tasksOf(item, week, today) }));
  const tasks = asked.flatMap((each) => each.tasks);
  let bench = empty();
  const least = tasks.reduce((sum, task) => sum + task.owed * task.least, 0);
  const room = ahead.reduce((sum, day) => sum + day.room, 0);
  if (least > room || !placeAll(bench, tasks, { left: MOST_TRIES })) {
    bench = empty();
    placeSome(bench, tasks);
  }
  const notes: LayoutNote[] = [];
  for (const { item, wanted, tasks: own } of asked) {
    const mine = bench.placed.get(item.id)!;
    const missing = wanted - mine.length;
    if (item.hard && mine.length > 0) notes.push(...shortenRests(bench, own[0]!));
    if (missing > 0) notes.push({ kind: "falls-out", itemId: item.id, times: missing });
  }
  const days = ahead.map((day, index) =>
    fill(
      day,
      items.filter(({ id }) => bench.placed.get(id)!.includes(index)),
    ),
  );
  const wanted = asked.reduce((sum, each) => sum + each.wanted * each.item.minutes, 0);
  const laid = days.reduce((sum, { load }) => sum + load, 0);
  if (laid < wanted * SQUEEZED) notes.push({ kind: "too-much", asked: wanted, laid });
  return { days, notes };
}
