import {
  daysWithMinutes,
  itemDays,
  keyOfWeek,
  LOOK_BACK_DAYS,
  onDay,
  mayRestLong,
  type AssignmentItem,
  type Practised,
  toKeep,
  type ItemDays,
  type KeptItem,
  type WeekTimes,
} from "~/core/week";
import { addDays, formatKey, type Day } from "~/core/units";
import type { Queries } from "~/db/client";
import {
  askedByDay,
  dropAskedFrom,
  enoughOf,
  keepAsked,
  playedByDay,
  practiceByHand,
  sessionsBetween,
  type Assignment,
  type Whose,
} from "~/db/queries";

type Rows<Query extends (...of: never[]) => Promise<readonly unknown[]>> = readonly Awaited<
  ReturnType<Query>
>[number][];

export interface Happened {
  readonly played: Rows<typeof playedByDay>;
  readonly sessions: Rows<typeof sessionsBetween>;
  readonly byHand: Rows<typeof practiceByHand>;
  /** Items of which the player said that it was enough for that day. */
  readonly enough: Rows<typeof enoughOf>;
  /** What days that are over have asked, where it was kept. */
  readonly asked: Rows<typeof askedByDay>;
}

/** What was asked and practised between two days, both included; of one student, or of everyone. */
export async function whatHappened(
  db: Queries,
  studioId: string,
  whose: Whose,
  from: Day,
  to: Day,
): Promise<Happened> {
  const [played, sessions, byHand, enough, asked] = await Promise.all([
    playedByDay(db, studioId, whose, from, to),
    sessionsBetween(db, studioId, whose, from, to),
    practiceByHand(db, studioId, whose, from, to),
    enoughOf(db, studioId, whose, from, to),
    askedByDay(db, studioId, whose, from, to),
  ]);
  return { played, sessions, byHand, enough, asked };
}

/** Rows by whom they are about; nothing for a person without any. */
export function byPerson<T extends { readonly person_id: string }>(rows: readonly T[]) {
  const groups = new Map<string, T[]>();
  for (const row of rows) {
    const group = groups.get(row.person_id);
    if (group) group.push(row);
    else groups.set(row.person_id, [row]);
  }
  return (id: string): readonly T[] => groups.get(id) ?? [];
}

/** What happened, person by person. */
export function byPersonOf(all: Happened): (personId: string) => Happened {
  const played = byPerson(all.played);
  const sessions = byPerson(all.sessions);
  const byHand = byPerson(all.byHand);
  const enough = byPerson(all.enough);
  const asked = byPerson(all.asked);
  return (id) => ({
    played: played(id),
    sessions: sessions(id),
    byHand: byHand(id),
    enough: enough(id),
    asked: asked(id),
  });
}

export type DoneItem = Pick<AssignmentItem, "id" | "passageId">;

/** Minutes by day that went into an item: its passage at the stand, its tasks, and by hand. */
export function minutesOfItem(
  { id, passageId }: DoneItem,
  { played, sessions, byHand }: Pick<Happened, "played" | "sessions" | "byHand">,
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

export interface PlanInputs {
  readonly week: Pick<Assignment, "from_day" | "until_day" | "text" | "earlier"> & {
    /** The day of its lesson, which has gone by without another week. */
    readonly lesson?: Day;
  };
  readonly times: WeekTimes;
  readonly happened: Happened;
  /** Passages that can't be played yet. */
  readonly raw: ReadonlySet<string>;
  readonly today: Day;
}

/** Since when the record has to be read to lay out a week. */
export const readFrom = (week: Pick<Assignment, "from_day">): Day =>
  addDays(week.from_day, -LOOK_BACK_DAYS);

/** What was practised of each item, by day; nothing where nothing was said or played. */
function practisedOf(items: readonly AssignmentItem[], happened: Happened) {
  const minutes = new Map(items.map((item) => [item, minutesOfItem(item, happened)]));
  const { played, sessions, enough } = happened;
  const hurtOn = new Set(sessions.flatMap(({ day, ended }) => (ended === "pain" ? [day] : [])));
  const goalPassed = ({ passageId, goalTempo }: AssignmentItem, day: Day) => {
    if (goalTempo === null || passageId === null) return false;
    return played.some(
      (row) => row.passage_id === passageId && row.day === day && (row.reached ?? 0) >= goalTempo,
    );
  };
  return (itemId: string, day: Day): Practised | undefined => {
    const item = onDay(items, itemId, day);
    const long = minutes.get(item)?.get(day);
    const said =
      hurtOn.has(day) || enough.some((each) => each.item_id === itemId && each.day === day);
    if (long === undefined && !said) return undefined;
    return { minutes: long ?? 0, goalPassed: goalPassed(item, day), enough: said };
  };
}

/** What was kept of the days that are over, day by day. */
function keptOf({ asked }: Happened): (day: Day) => readonly KeptItem[] {
  const byDay = new Map<Day, KeptItem[]>();
  for (const { item_id: itemId, day, minutes, why } of asked) {
    const kept = byDay.get(day) ?? [];
    kept.push({ itemId, minutes, why });
    byDay.set(day, kept);
  }
  return (day) => byDay.get(day) ?? [];
}

/**
 * A week as it was asked and practised until today, its open items laid over the days ahead. On the
 * day of a lesson nothing is asked, whether it was held or not.
 */
export function planWeek({ week, times, happened, raw, today }: PlanInputs): ItemDays {
  const { from_day: from, until_day: until, lesson } = week;
  // What was finished at a lesson was asked until it, as its last day says.
  const all = [...week.earlier, ...week.text.items];
  const days = daysWithMinutes(from, until, times).map((each) =>
    each.day === lesson ? { ...each, minutes: 0, room: 0, lesson: true as const } : each,
  );
  const items = all.map((item) => ({
    id: item.id,
    often: item.often,
    minutes: item.minutes,
    since: item.since,
    until: item.until,
    hard: mayRestLong(item.often) && item.passageId !== null && raw.has(item.passageId),
    lastBefore: [...minutesOfItem(item, happened).keys()]
      .toSorted()
      .findLast((day) => day < from && day >= readFrom(week)),
  }));
  const history = { practised: practisedOf(all, happened), kept: keptOf(happened) };
  return itemDays({ items, days }, history, today);
}

/**
 * Keeps what the days of a plan have asked that are over, where nobody has yet: whatever is changed
 * later reaches none of them.
 */
export async function keepDays(
  db: Queries,
  { studioId, personId }: { readonly studioId: string; readonly personId: string },
  { days }: Pick<ItemDays, "days">,
  { asked }: Pick<Happened, "asked">,
  today: Day,
): Promise<void> {
  const known = new Set(asked.map(({ item_id, day }) => `${item_id} ${day}`));
  const fresh = toKeep(days, today).filter(({ itemId, day }) => !known.has(`${itemId} ${day}`));
  if (asked.some(({ day }) => day >= today)) await dropAskedFrom(db, studioId, personId, today);
  if (fresh.length > 0) await keepAsked(db, studioId, personId, fresh);
}

/** The key that a rotating item has in the week of a day, as it is written. */
export function keyFor(
  { keys }: Pick<AssignmentItem, "keys">,
  since: Day,
  day: Day,
): string | undefined {
  const key = keyOfWeek(keys, since, day);
  return key && formatKey(key);
}
