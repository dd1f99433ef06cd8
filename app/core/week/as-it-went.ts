import { addDays, type Day } from "~/core/units";
import { isDone, type Practised } from "./done";
import {
  layOutWeek,
  type LaidDay,
  type LayoutDay,
  type LayoutItem,
  type LayoutNote,
  type WeekLayout,
} from "./layout";

/** An item on a day: what that morning asked of it, and what came of it. */
export interface WentItem {
  readonly itemId: string;
  /** Minutes as they were laid out that morning. */
  readonly minutes: number;
  readonly practised: number;
  readonly done: boolean;
}

export interface WentDay extends Omit<LaidDay, "items"> {
  readonly items: readonly WentItem[];
  /** Done on this day without being asked on it. */
  readonly extra: readonly string[];
}

export interface WeekAsItWent {
  /** All days of the week: those that are over as they were asked, today, and those ahead. */
  readonly days: readonly WentDay[];
  /** What does not fit any more, from today on. */
  readonly notes: readonly LayoutNote[];
}

interface Inputs {
  readonly items: readonly Omit<LayoutItem, "doneOn">[];
  readonly week: readonly LayoutDay[];
  readonly practised: (itemId: string, day: Day) => Practised | undefined;
  readonly today: Day;
}

/**
 * A week day by day: each morning what is still owed is laid over the days that are left, and what
 * was done that day is taken from it. Today keeps what this morning asked; what lies ahead counts
 * on it. What came into the week, or went out of it, on a later day was not known on the mornings
 * before.
 */
export function asItWent({ items, week, practised, today }: Inputs): WeekAsItWent {
  const doneOn = new Map(items.map(({ id }) => [id, [] as Day[]]));
  const laidFrom = (morning: Day): WeekLayout => {
    const isKnown = (day: Day) => day <= morning || day > today;
    const known = items.filter(({ since }) => !since || isKnown(since));
    return layOutWeek(
      known.map((item) => ({
        ...item,
        until: item.until && isKnown(item.until) ? item.until : null,
        doneOn: [...doneOn.get(item.id)!],
      })),
      week,
      morning,
    );
  };
  let plan = laidFrom(week[0]?.day ?? today);
  const days: WentDay[] = [];
  for (const { day } of week) {
    if (day > today) break;
    const morning = plan.days.find((each) => each.day === day)!;
    const asked = new Map(morning.items.map(({ itemId, minutes }) => [itemId, minutes]));
    const done = new Set(
      items.flatMap(({ id, minutes }) => {
        const what = practised(id, day);
        const counts = what && (asked.has(id) || what.minutes > 0);
        return counts && isDone(what, asked.get(id) ?? minutes) ? [id] : [];
      }),
    );
    days.push(wentDay(morning, done, (id) => practised(id, day)?.minutes ?? 0));
    // What today still asks is counted on.
    const counted = day === today ? new Set([...done, ...asked.keys()]) : done;
    for (const id of counted) doneOn.get(id)!.push(day);
    const tomorrow = addDays(day, 1);
    // What comes every day comes tomorrow whatever came of it today.
    const moves = items.some(
      ({ id, often, since, until }) =>
        since === tomorrow ||
        until === tomorrow ||
        (often.kind !== "daily" && counted.has(id) !== asked.has(id)),
    );
    if (!moves) {
      plan = { ...plan, days: plan.days.filter((each) => each.day > day) };
    } else plan = laidFrom(tomorrow);
  }
  const ahead = plan.days
    .filter(({ day }) => day > today)
    .map((each) => wentDay(each, new Set(), () => 0));
  return { days: [...days, ...ahead], notes: plan.notes };
}

function wentDay(
  laid: LaidDay,
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
