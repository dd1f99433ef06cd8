import {
  goalsReached,
  keyOfWeek,
  LOOK_BACK_DAYS,
  planWeek as planned,
  spentOf,
  toKeep,
  type AssignmentItem,
  type ItemDays,
  type KeptItem,
  type PlannedWeek,
  type Reached,
  type WeekFacts,
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

/** What was asked and practised, row by row. */
interface HappenedRows {
  readonly played: Rows<typeof playedByDay>;
  readonly sessions: Rows<typeof sessionsBetween>;
  readonly byHand: Rows<typeof practiceByHand>;
  /** Items of which the player said that it was enough for that day. */
  readonly enough: Rows<typeof enoughOf>;
  /** What days that are over have asked, where it was kept. */
  readonly asked: Rows<typeof askedByDay>;
}

/** The same of one student, and what a week is planned by. */
export interface Happened extends HappenedRows {
  readonly facts: WeekFacts;
}

async function read(
  db: Queries,
  studioId: string,
  whose: Whose,
  from: Day,
  to: Day,
): Promise<HappenedRows> {
  const [played, sessions, byHand, enough, asked] = await Promise.all([
    playedByDay(db, studioId, whose, from, to),
    sessionsBetween(db, studioId, whose, from, to),
    practiceByHand(db, studioId, whose, from, to),
    enoughOf(db, studioId, whose, from, to),
    askedByDay(db, studioId, whose, from, to),
  ]);
  return { played, sessions, byHand, enough, asked };
}

/** What was asked of a student and practised between two days, both included. */
export async function whatHappened(
  db: Queries,
  studioId: string,
  personId: string,
  from: Day,
  to: Day,
): Promise<Happened> {
  const rows = await read(db, studioId, personId, from, to);
  return { ...rows, facts: factsOf(rows) };
}

/** The same of everyone, read at once. */
export async function whatHappenedToAll(
  db: Queries,
  studioId: string,
  from: Day,
  to: Day,
): Promise<(personId: string) => Happened> {
  const all = await read(db, studioId, null, from, to);
  const played = byPerson(all.played);
  const sessions = byPerson(all.sessions);
  const byHand = byPerson(all.byHand);
  const enough = byPerson(all.enough);
  const asked = byPerson(all.asked);
  return (id) => {
    const rows = {
      played: played(id),
      sessions: sessions(id),
      byHand: byHand(id),
      enough: enough(id),
      asked: asked(id),
    };
    return { ...rows, facts: factsOf(rows) };
  };
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

/** The rows of one student as what a week is planned by. */
function factsOf({ played, sessions, byHand, enough, asked }: HappenedRows): WeekFacts {
  const reached: Record<string, Record<Day, number>> = {};
  for (const { passage_id: id, day, reached: tempo } of played) {
    const days = (reached[id] ??= {});
    days[day] = Math.max(days[day] ?? 0, tempo ?? 0);
  }
  const kept: Record<Day, KeptItem[]> = {};
  for (const { item_id: itemId, day, minutes, why } of asked) {
    (kept[day] ??= []).push({ itemId, minutes, why });
  }
  return {
    spent: spentOf([
      ...played.map(({ passage_id: of, day, minutes }) => ({ of, day, minutes })),
      ...sessions.flatMap(({ day, tasks }) =>
        tasks.map(({ itemId, seconds }) => ({ of: itemId ?? null, day, minutes: seconds / 60 })),
      ),
      ...byHand.map(({ item_id: of, day, minutes }) => ({ of, day, minutes })),
    ]),
    reached,
    enough: enough.map(({ item_id: itemId, day }) => ({ itemId, day })),
    hurtOn: sessions.flatMap(({ day, ended }) => (ended === "pain" ? [day] : [])),
    kept,
  };
}

/** What was written by hand for none of the items of a week. */
export const besidesOf = ({ byHand }: Happened, { text }: Pick<Assignment, "text">) =>
  byHand
    .filter(({ item_id }) => !text.items.some(({ id }) => id === item_id))
    .map(({ day, minutes, note }) => ({ day, minutes, note }));

export interface PlanInputs {
  readonly week: Pick<Assignment, "from_day" | "until_day" | "text" | "earlier"> & {
    /** Where it goes on: its first day, and the day of its lesson, which has gone by. */
    readonly since?: Day;
    readonly lesson?: Day;
  };
  readonly times: WeekTimes;
  readonly happened: Happened;
  /** Passages that can't be played yet. */
  readonly raw: ReadonlySet<string>;
  readonly today: Day;
}

/** All that a week has said of its items, of one and the same in the order of days. */
export const allSaid = ({ text, earlier }: Pick<Assignment, "text" | "earlier">) => [
  ...earlier,
  ...text.items,
];

const toPlan = (week: PlanInputs["week"]) => ({
  ...{ from: week.from_day, until: week.until_day, lesson: week.lesson },
  since: week.since ?? week.from_day,
  items: allSaid(week),
});

/** A week of the database, planned. */
export const planWeek = ({ week, happened, ...rest }: PlanInputs): PlannedWeek =>
  planned({ week: toPlan(week), facts: happened.facts, ...rest });

/** Items of a week of the database whose goal was passed in it, and when. */
export const reachedIn = (
  week: PlanInputs["week"] | undefined,
  { facts }: Happened,
  today: Day,
): Reached => (week ? goalsReached(toPlan(week), facts, today) : new Map());

/** Since when the record has to be read to lay out a week. */
export const readFrom = (week: { readonly from_day: Day; readonly since?: Day }): Day =>
  addDays(week.since ?? week.from_day, -LOOK_BACK_DAYS);

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
