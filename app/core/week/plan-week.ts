import { addDays, type Day } from "~/core/units";
import type { AssignmentItem } from "./assignment";
import type { WeekTimes } from "./availability";
import type { Practised } from "./done";
import { itemDays, onDay, type ItemDays, type KeptItem } from "./item-days";
import { mayRestLong } from "./layout";
import { minutesOfItem, type Spent } from "./spent";
import { daysWithMinutes, LOOK_BACK_DAYS } from "./week-days";

/** What has happened in a week and shortly before it, as plain data. */
export interface WeekFacts {
  readonly spent: Spent;
  /** The fastest tempo passed of a passage on a day. */
  readonly reached: Readonly<Record<string, Readonly<Record<Day, number>>>>;
  /** Items of which the player has said that it was enough for that day. */
  readonly enough: readonly { readonly itemId: string; readonly day: Day }[];
  /** Days on which somebody stopped because something hurt. */
  readonly hurtOn: readonly Day[];
  /** What days that are over have asked, where it was kept. */
  readonly kept: Readonly<Record<Day, readonly KeptItem[]>>;
}

export interface WeekToPlan {
  readonly from: Day;
  /** Since when it is asked: earlier than its days where it goes on after its lesson. */
  readonly since: Day;
  /** The first day after it. */
  readonly until: Day;
  /** The day of its lesson, which has gone by without another week. */
  readonly lesson?: Day | undefined;
  /** All that it has said of its items, of one and the same in the order of days. */
  readonly items: readonly AssignmentItem[];
}

interface PlanInputs {
  readonly week: WeekToPlan;
  readonly times: WeekTimes;
  readonly facts: WeekFacts;
  /** Passages that can't be played yet. */
  readonly raw: ReadonlySet<string>;
  readonly today: Day;
}

const passesGoal = ({ passageId, goalTempo }: AssignmentItem, { reached }: WeekFacts, day: Day) =>
  goalTempo !== null && passageId !== null && (reached[passageId]?.[day] ?? 0) >= goalTempo;

/** The first day on which a tempo was passed that is at least the goal that a week has now. */
function reachedOn(item: AssignmentItem, week: WeekToPlan, facts: WeekFacts) {
  const { since, until, items } = week;
  const first = items.find(({ id }) => id === item.id)?.since ?? since;
  return Object.keys(facts.reached[item.passageId ?? ""] ?? {})
    .toSorted()
    .find((day) => day >= first && day < until && passesGoal(item, facts, day));
}

/** The day on which the goal of an item was passed: later ones ask nothing more of it. */
export type Reached = ReadonlyMap<string, Day>;

/** Items of which the goal that they have today was passed in this week, and when. */
export function goalsReached(week: WeekToPlan, facts: WeekFacts, today: Day): Reached {
  const ids = [...new Set(week.items.map(({ id }) => id))];
  return new Map(
    ids.flatMap((id) => {
      const on = reachedOn(onDay(week.items, id, today), week, facts);
      return on && on <= today ? [[id, on] as const] : [];
    }),
  );
}

export interface PlannedWeek extends ItemDays {
  readonly reached: Reached;
}

/** What was practised of each item, by day; nothing where nothing was said or played. */
export function practisedOf(items: readonly AssignmentItem[], facts: WeekFacts) {
  const minutes = new Map(items.map((item) => [item, minutesOfItem(item, facts.spent)]));
  return (itemId: string, day: Day): Practised | undefined => {
    const item = onDay(items, itemId, day);
    const long = minutes.get(item)?.get(day);
    const said =
      facts.hurtOn.includes(day) ||
      facts.enough.some((each) => each.itemId === itemId && each.day === day);
    if (long === undefined && !said) return undefined;
    return { minutes: long ?? 0, goalPassed: passesGoal(item, facts, day), enough: said };
  };
}

/**
 * A week as it was asked and practised until today, its open items laid over the days ahead. On the
 * day of a lesson nothing is asked, whether it was held or not.
 */
export function planWeek({ week, times, facts, raw, today }: PlanInputs): PlannedWeek {
  const { from, until, lesson, items } = week;
  const days = daysWithMinutes(from, until, times).map((each) =>
    each.day === lesson ? { ...each, minutes: 0, room: 0, lesson: true as const } : each,
  );
  const toLay = items.map((item) => ({
    id: item.id,
    often: item.often,
    minutes: item.minutes,
    since: item.since,
    until: item.until,
    reachedOn: reachedOn(item, week, facts),
    hard: mayRestLong(item.often) && item.passageId !== null && raw.has(item.passageId),
    lastBefore: [...minutesOfItem(item, facts.spent).keys()]
      .toSorted()
      .findLast((day) => day < from && day >= addDays(from, -LOOK_BACK_DAYS)),
  }));
  const history = {
    practised: practisedOf(items, facts),
    kept: (day: Day) => facts.kept[day] ?? [],
  };
  return {
    ...itemDays({ items: toLay, days }, history, today),
    reached: goalsReached(week, facts, today),
  };
}
