import { addDays, type Day } from "~/core/units";
import { isDone, type Practised } from "./done";
import {
  layOutWeek,
  leastMinutes,
  type LaidDay,
  type LayoutDay,
  type LayoutItem,
  type LayoutNote,
  type WeekLayout,
} from "./layout";

/**
 * Why a day asks nothing of an item: its turn is another day, the day has no time or too little, it
 * was the day of a lesson, or the tempo that the week is for was passed before.
 */
export const REASONS = ["other-day", "no-time", "short", "lesson", "reached"] as const;
export type Reason = (typeof REASONS)[number];

/** An item on a day: what that morning asked of it, and what came of it. */
export interface WentItem {
  readonly itemId: string;
  /** Whole minutes, as they were laid out that morning. */
  readonly minutes: number;
  readonly practised: number;
  readonly done: boolean;
}

export interface WentDay extends Omit<LaidDay, "items"> {
  readonly items: readonly WentItem[];
  /** What this day doesn't ask for, and why. */
  readonly spared: readonly { readonly itemId: string; readonly why: Reason }[];
  /** Done on this day without being asked on it. */
  readonly extra: readonly string[];
}

export interface ItemDays {
  /** All days of the week: those that are over as they were asked, today, and those ahead. */
  readonly days: readonly WentDay[];
  /** What does not fit any more, from today on. */
  readonly notes: readonly LayoutNote[];
}

/** What a day that is over asked of an item: minutes, 0 with a reason. */
export interface KeptItem {
  readonly itemId: string;
  readonly minutes: number;
  readonly why: Reason | null;
}

interface AskedFor extends Omit<LayoutItem, "doneOn"> {
  /** The first day on which the tempo was passed that the week is for. */
  readonly reachedOn?: Day | undefined;
}

interface Week {
  /** One that was changed stands once for each stretch of days, in their order. */
  readonly items: readonly AskedFor[];
  readonly days: readonly LayoutDay[];
}

/** What is said of an item on a day; of one that comes later, what is said first. */
export function onDay<Said extends { readonly id: string; readonly since?: Day | null }>(
  items: readonly Said[],
  id: string,
  day: Day,
): Said {
  const all = items.filter((each) => each.id === id);
  return all.findLast(({ since }) => !since || since <= day) ?? all[0]!;
}

interface History {
  readonly practised: (itemId: string, day: Day) => Practised | undefined;
  /** What was asked on a day that is over, where somebody has looked since; empty where nobody has. */
  readonly kept: (day: Day) => readonly KeptItem[];
}

export const NO_HISTORY: History = { practised: () => undefined, kept: () => [] };

/**
 * A week day by day, what is asked, what is done and why not: each morning what is still owed is
 * laid over the days that are left, and what was done that day is taken from it. What was kept of a
 * day that is over stands, whatever has changed since. Today keeps what this morning asked; what
 * lies ahead counts on it. What came into the week, or went out of it, on a later day was not known
 * on the mornings before. Once its goal is passed, an item leaves its minutes to the others.
 */
export function itemDays({ items, days: week }: Week, history: History, today: Day): ItemDays {
  const doneOn = new Map(items.map(({ id }) => [id, [] as Day[]]));
  const ids = [...doneOn.keys()];
  const laidFrom = (morning: Day): WeekLayout => {
    const isKnown = (day: Day) => day <= morning || day > today;
    const known = items.filter(({ since }) => !since || isKnown(since));
    return layOutWeek(
      [...new Map(known.map((item) => [item.id, item])).values()].map((item) => ({
        ...item,
        until: earlier(
          item.until && isKnown(item.until) ? item.until : null,
          item.reachedOn && item.reachedOn < morning ? addDays(item.reachedOn, 1) : null,
        ),
        doneOn: [...doneOn.get(item.id)!],
      })),
      week,
      morning,
    );
  };
  const keptOn = (day: Day): KeptItem[] => {
    const all = day < today ? history.kept(day) : [];
    return ids.flatMap((id) => all.find(({ itemId }) => itemId === id) ?? []);
  };
  const days: WentDay[] = [];
  let plan: WeekLayout | undefined;
  for (const each of week) {
    const { day } = each;
    if (day > today) break;
    const kept = keptOn(day);
    // Laid out anew each morning, as whoever looked then saw it; not where that was kept.
    plan = kept.length > 0 ? undefined : laidFrom(day);
    const laid = plan?.days.find((other) => other.day === day);
    const morning = laid ? { ...laid, spared: spared(laid, items) } : asKept(each, kept);
    const asked = new Map(morning.items.map(({ itemId, minutes }) => [itemId, minutes]));
    const done = new Set(
      ids.flatMap((id) => {
        const { minutes } = onDay(items, id, day);
        const what = history.practised(id, day);
        const counts = what && (asked.has(id) || what.minutes > 0);
        return counts && isDone(what, asked.get(id) ?? minutes) ? [id] : [];
      }),
    );
    days.push(wentDay(morning, done, (id) => history.practised(id, day)?.minutes ?? 0));
    // What today still asks is counted on.
    const counted = day === today ? new Set([...done, ...asked.keys()]) : done;
    for (const id of counted) doneOn.get(id)!.push(day);
  }
  const last = week.at(-1)?.day;
  if (last === undefined || last < today) return { days, notes: [] };
  const now = days.at(-1);
  const holds = plan && now && !movesAfter(now, items);
  const left = holds ? plan! : laidFrom(now ? addDays(now.day, 1) : week[0]!.day);
  const ahead = left.days
    .filter(({ day }) => day > today)
    .map((each) => wentDay({ ...each, spared: spared(each, items) }, new Set(), () => 0));
  return { days: [...days, ...ahead], notes: left.notes };
}

/**
 * Whether the days ahead are other than this morning had them: an item comes, goes or has come to
 * its goal, or was done without being asked. What comes every day comes tomorrow whatever came of it.
 */
function movesAfter({ day, extra }: WentDay, items: Week["items"]): boolean {
  const tomorrow = addDays(day, 1);
  return items.some(
    ({ id, often, since, until, reachedOn }) =>
      since === tomorrow ||
      until === tomorrow ||
      reachedOn === day ||
      (often.kind !== "daily" && extra.includes(id)),
  );
}

const earlier = (a: Day | null, b: Day | null): Day | null => (a && b && a < b ? a : (b ?? a));

type Morning = LaidDay & Pick<WentDay, "spared">;

const asKept = (day: LayoutDay, kept: readonly KeptItem[]): Morning => {
  const items = kept.filter(({ minutes }) => minutes > 0);
  return {
    ...day,
    items: items.map(({ itemId, minutes }) => ({ itemId, minutes })),
    load: items.reduce((sum, { minutes }) => sum + minutes, 0),
    spared: kept.flatMap(({ itemId, why }) => (why ? [{ itemId, why }] : [])),
  };
};

/** What a day as it is laid out doesn't ask for, and why. */
function spared(
  { day, minutes, room, lesson, items: laid }: LaidDay,
  items: Week["items"],
): WentDay["spared"] {
  const asked = new Set(laid.map(({ itemId }) => itemId));
  return items.flatMap(({ id, often, minutes: wanted, since, until, reachedOn }) => {
    const isOn = day >= (since ?? day) && (!until || day < until);
    if (!isOn || asked.has(id)) return [];
    const tight = often.kind === "daily" || room < leastMinutes(wanted);
    const timed: Reason = minutes === 0 ? "no-time" : tight ? "short" : "other-day";
    const gone = reachedOn !== undefined && reachedOn < day;
    return [{ itemId: id, why: gone ? "reached" : lesson ? "lesson" : timed }];
  });
}

function wentDay(
  laid: Morning,
  done: ReadonlySet<string>,
  practised: (itemId: string) => number,
): WentDay {
  const asked = new Set(laid.items.map(({ itemId }) => itemId));
  return {
    ...laid,
    items: laid.items.map(({ itemId, minutes }) => ({
      itemId,
      minutes,
      practised: practised(itemId),
      done: done.has(itemId),
    })),
    extra: [...done].filter((id) => !asked.has(id)),
  };
}

/** What some days ask in all: the sum of what each of them asks, and on how many. */
export function askedBy(days: readonly Pick<LaidDay, "load">[]): Asked {
  const loads = days.map(({ load }) => load).filter((load) => load > 0);
  return { minutes: loads.reduce((sum, load) => sum + load, 0), days: loads.length };
}

/** Whole minutes, and days that ask for any. */
export interface Asked {
  readonly minutes: number;
  readonly days: number;
}

/** What days that are over have asked, as it is to be kept: every item of each, also where it rests. */
export const toKeep = (days: readonly WentDay[], today: Day) =>
  days
    .filter(({ day }) => day < today)
    .flatMap(({ day, items, spared: free }) => [
      ...items.map(({ itemId, minutes }) => ({ day, itemId, minutes, why: null })),
      ...free.map(({ itemId, why }) => ({ day, itemId, minutes: 0, why })),
    ]);

/** Days on which an item was done, whether they asked for it or not. */
export const doneOn = (days: readonly WentDay[], itemId: string): Day[] =>
  days.flatMap(({ day, items, extra }) =>
    extra.includes(itemId) || items.some((each) => each.itemId === itemId && each.done)
      ? [day]
      : [],
  );

/** Minutes that each day asks of an item, 0 where it rests. */
export const askedOf = (days: readonly WentDay[], itemId: string): number[] =>
  days.map(({ items }) => items.find((each) => each.itemId === itemId)?.minutes ?? 0);
