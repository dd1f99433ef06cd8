import { addDays, formatKey, type BeatUnit, type Day } from "~/core/units";
import type { AssignmentText } from "./assignment";
import { windowsOn, type WeekTimes } from "./availability";
import { askedBy, doneOn } from "./item-days";
import type { PlannedWeek } from "./plan-week";
import { keyOfWeek } from "./rotation";
import { minutesOfDays, minutesOfItem, type Spent } from "./spent";
import type { StudentWeek, WeekDay, WeekItem, Written } from "./told";

/** A passage as far as a week tells of it. */
export interface PassageOfWeek {
  readonly id: string;
  readonly fromBar: number;
  readonly toBar: number;
  readonly beatUnit: BeatUnit;
}

export interface WeekToTell {
  readonly id: string | null;
  readonly from: Day;
  readonly until: Day;
  /** Since when its keys go round. */
  readonly since: Day;
  readonly text: AssignmentText;
}

interface Inputs {
  readonly week: WeekToTell;
  readonly times: WeekTimes;
  readonly passages: readonly PassageOfWeek[];
  readonly spent: Spent;
  /** What was written by hand for none of its items, by day. */
  readonly besides: readonly (Written & { readonly day: Day })[];
  readonly today: Day;
}

/** A week with what each day asked and what came of it, and as it is laid out from today on. */
export function studentWeek(
  { week, times, passages, spent, besides, today }: Inputs,
  plan: PlannedWeek,
): StudentWeek {
  const { id, from, until, since, text } = week;
  const byDay = minutesOfDays(spent);
  const days = plan.days.map(({ day, minutes, items: asked }): WeekDay => ({
    day,
    minutes,
    times: windowsOn(times, day).map((each) => ({ from: each.from, minutes: each.minutes })),
    asked,
    played: byDay.get(day) ?? 0,
    besides: besides.filter((each) => each.day === day),
  }));
  const keyDay = today < from ? from : today >= until ? addDays(until, -1) : today;
  const items = text.items.map((item): WeekItem => {
    const passage = passages.find((each) => each.id === item.passageId);
    const minutes = minutesOfItem(item, spent);
    const done = new Set(doneOn(plan.days, item.id));
    const key = keyOfWeek(item.keys, since, keyDay);
    return {
      ...item,
      bars: passage ? { from: passage.fromBar, to: passage.toBar } : null,
      beatUnit: passage?.beatUnit ?? null,
      key: key && formatKey(key),
      reachedOn: plan.reached.get(item.id),
      practised: [...new Set([...minutes.keys(), ...done])]
        .filter((day) => day >= from && day < until)
        .toSorted()
        .map((day) => ({ day, minutes: minutes.get(day) ?? 0, done: done.has(day) })),
    };
  });
  return {
    id,
    from,
    until,
    text,
    asked: askedBy(plan.days),
    items,
    days,
    // Of a week that is over there is nothing to lay out any more.
    notes: today < until ? plan.notes : [],
    played: {
      minutes: days.reduce((sum, { played }) => sum + played, 0),
      days: days.filter(({ played }) => played > 0).length,
    },
  };
}
