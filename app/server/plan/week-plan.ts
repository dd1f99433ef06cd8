import {
  keyOfWeek,
  layOutWeek,
  minutesOn,
  type AssignmentItem,
  type LayoutItem,
  type TimeWindow,
  type WeekLayout,
} from "~/core/week";
import { addDays, daysBetween, type Day } from "~/core/units";
import type { Queries } from "~/db/client";
import { playedByDay, practiceByHand, sessionsBetween, type Assignment } from "~/db/queries";

/** Assumed while nobody has said when there is time. */
const USUAL_MINUTES = 30;
const LOOK_BACK_DAYS = 28;

export interface Happened {
  readonly played: Awaited<ReturnType<typeof playedByDay>>;
  readonly sessions: Awaited<ReturnType<typeof sessionsBetween>>;
  readonly byHand: Awaited<ReturnType<typeof practiceByHand>>;
}

/** Everything that was practised between two days, both included. */
export async function whatHappened(
  db: Queries,
  studioId: string,
  personId: string,
  from: Day,
  to: Day,
): Promise<Happened> {
  const [played, sessions, byHand] = await Promise.all([
    playedByDay(db, studioId, personId, from, to),
    sessionsBetween(db, studioId, personId, from, to),
    practiceByHand(db, studioId, personId, from, to),
  ]);
  return { played, sessions, byHand };
}

export type DoneItem = Pick<AssignmentItem, "id" | "passageId">;

/** Minutes by day that went into an item: its passage at the stand, its tasks, and by hand. */
export function minutesOfItem(
  { id, passageId }: DoneItem,
  { played, sessions, byHand }: Happened,
): ReadonlyMap<Day, number> {
  const byDay = new Map<Day, number>();
  const add = (day: Day, minutes: number) => byDay.set(day, (byDay.get(day) ?? 0) + minutes);
  for (const row of played) if (row.passage_id === passageId) add(row.day, row.minutes);
  for (const { day, tasks } of sessions) {
    for (const { itemId, seconds } of tasks) if (itemId === id) add(day, seconds / 60);
  }
  for (const row of byHand) if (row.item_id === id) add(row.day, row.minutes);
  return byDay;
}

/** Minutes of all practice by day. */
export function minutesOfDays({ played, sessions, byHand }: Happened): ReadonlyMap<Day, number> {
  const byDay = new Map<Day, number>();
  const add = (day: Day, minutes: number) => byDay.set(day, (byDay.get(day) ?? 0) + minutes);
  for (const { day, minutes } of [...played, ...byHand]) add(day, minutes);
  for (const { day, tasks } of sessions) for (const task of tasks) add(day, task.seconds / 60);
  return byDay;
}

export const daysOf = (from: Day, until: Day): Day[] =>
  Array.from({ length: Math.max(0, daysBetween(from, until)) }, (_, n) => addDays(from, n));

/** The days of a week with the minutes that there are. */
export const daysWithMinutes = (from: Day, until: Day, windows: readonly TimeWindow[]) =>
  daysOf(from, until).map((day) => ({
    day,
    minutes: windows.length > 0 ? minutesOn(windows, day) : USUAL_MINUTES,
  }));

export interface PlanInputs {
  readonly week: Pick<Assignment, "from_day" | "until_day" | "text">;
  readonly windows: readonly TimeWindow[];
  readonly happened: Happened;
  /** Passages that can't be played yet. */
  readonly raw: ReadonlySet<string>;
  readonly today: Day;
}

/** Since when the record has to be read to lay out a week. */
export const readFrom = (week: Pick<Assignment, "from_day">): Day =>
  addDays(week.from_day, -LOOK_BACK_DAYS);

/** A week's items laid over the days that are left. */
export function planWeek({ week, windows, happened, raw, today }: PlanInputs): WeekLayout {
  const open = week.text.items.filter(({ decision }) => decision !== "finished");
  const items = open.map((item): LayoutItem => {
    const days = [...minutesOfItem(item, happened).keys()].toSorted();
    return {
      id: item.id,
      often: item.often,
      minutes: item.minutes,
      hard: item.passageId !== null && raw.has(item.passageId),
      doneOn: days.filter((day) => day >= week.from_day),
      lastBefore: days.findLast((day) => day < week.from_day),
    };
  });
  return layOutWeek(items, daysWithMinutes(week.from_day, week.until_day, windows), today);
}

/** The key that a rotating item has in the week of a day. */
export const keyFor = (item: Pick<AssignmentItem, "keys">, since: Day, day: Day) =>
  keyOfWeek(item.keys, since, day);
