import { daysBetween, type Day } from "~/core/units";

/** A day that something could be laid on. */
export interface FreeDay {
  /** Its place among the days that are laid out. */
  readonly index: number;
  readonly day: Day;
  /** Share of its room that is taken, 0–1. */
  readonly taken: number;
}

const WEEK_DAYS = 7;
/** What comes after a lesson is not the same any more: days of two weeks may lie nearer. */
const BETWEEN_WEEKS = 2;

/** All ways to take `count` of some days, in their order. */
function* ways<T>(of: readonly T[], count: number, from = 0): Generator<T[]> {
  if (count === 0) {
    yield [];
    return;
  }
  for (let n = from; n <= of.length - count; n++) {
    for (const rest of ways(of, count - 1, n + 1)) yield [of[n]!, ...rest];
  }
}

interface Spread {
  readonly days: readonly FreeDay[];
  readonly gap: number;
  readonly uneven: number;
  readonly taken: number;
}

/** How far apart days lie, the last time before them and the same days a week later included. */
function spreadOf(days: readonly FreeDay[], done: readonly Day[], before: Day | undefined): Spread {
  const all = [...done, ...days.map(({ day }) => day)].toSorted();
  const first = all[0]!;
  const gaps = all.map((day, n) => {
    if (n > 0) return daysBetween(all[n - 1]!, day);
    return before ? Math.min(WEEK_DAYS, daysBetween(before, day)) : WEEK_DAYS;
  });
  gaps.push(WEEK_DAYS - daysBetween(first, all.at(-1)!) + BETWEEN_WEEKS);
  return {
    days,
    gap: Math.min(...gaps),
    uneven: gaps.reduce((sum, gap) => sum + gap * gap, 0),
    taken: days.reduce((sum, day) => sum + day.taken, 0),
  };
}

const byPreference = (a: Spread, b: Spread): number =>
  b.gap - a.gap || a.uneven - b.uneven || a.taken - b.taken;

/**
 * Ways to put `count` more times on days of one week, best first: as far apart as they can be, from
 * the times that are done, from the last time before and from the same days a week later; then
 * where most is free.
 */
export const waysApart = (
  free: readonly FreeDay[],
  count: number,
  done: readonly Day[],
  before: Day | undefined,
): (readonly FreeDay[])[] =>
  [...ways(free, count)]
    .map((days) => spreadOf(days, done, before))
    .toSorted(byPreference)
    .map(({ days }) => days);

const EVERY_OTHER = 2;

/**
 * Ways to go on every other day, best first: two days after the last time, and on from there; a day
 * that has no room is made up for on the next one.
 */
export function waysEveryOther(
  free: readonly FreeDay[],
  last: Day | undefined,
): (readonly FreeDay[])[] {
  const allowed = free.filter(({ day }) => !last || daysBetween(last, day) >= EVERY_OTHER);
  const begun = allowed.slice(0, EVERY_OTHER + 1).map((start) => {
    const taken: FreeDay[] = [];
    for (const each of allowed) {
      const before = taken.at(-1)?.day;
      const enough = before ? daysBetween(before, each.day) >= EVERY_OTHER : each.day >= start.day;
      if (enough) taken.push(each);
    }
    return taken;
  });
  const most = Math.max(0, ...begun.map(({ length }) => length));
  return begun.filter(({ length }) => length === most);
}
