import { daysBetween, formatKey, type Day } from "~/core/units";
import { askedBy, itemDays, NO_HISTORY } from "./item-days";
import type { AssignmentItem, AssignmentText } from "./assignment";
import { windowsOn, type WeekTimes } from "./availability";
import { mayRestLong } from "./layout";
import { keyOfWeek } from "./rotation";
import type { StudentWeek } from "./told";
import { daysWithMinutes, LOOK_BACK_DAYS } from "./week-days";

/** What the layout of a week has to know of what was practised before it. */
export interface Before {
  /** The last day on which a passage, or an item without one, was practised. */
  readonly lastDay: Readonly<Record<string, Day>>;
  /** Passages that can't be played yet. */
  readonly raw: readonly string[];
}

interface PreviewInputs {
  readonly from: Day;
  readonly until: Day;
  readonly text: AssignmentText;
  readonly times: WeekTimes;
  readonly before: Before;
}

/** What is longer ago than a week looks back counts as never. */
const lately = (day: Day | undefined, from: Day): Day | undefined =>
  day && daysBetween(day, from) <= LOOK_BACK_DAYS ? day : undefined;

/** A week as it will be laid out, before anything of it has happened. */
export function previewOf({ from, until, text, times, before }: PreviewInputs): StudentWeek {
  const { lastDay, raw } = before;
  const whole = (item: AssignmentItem) =>
    Number.isInteger(item.minutes) && item.minutes > 0 ? item.minutes : 1;
  const laid = text.items.map((item) => ({
    id: item.id,
    often: item.often,
    minutes: whole(item),
    since: item.since,
    until: item.until,
    hard: mayRestLong(item.often) && item.passageId !== null && raw.includes(item.passageId),
    lastBefore: lately(lastDay[item.passageId ?? item.id], from),
  }));
  const plan = itemDays(
    { items: laid, days: daysWithMinutes(from, until, times) },
    NO_HISTORY,
    from,
  );
  return {
    id: null,
    from,
    until,
    text,
    asked: askedBy(plan.days),
    items: text.items.map((item) => {
      const key = keyOfWeek(item.keys, from, from);
      return {
        ...item,
        bars: null,
        beatUnit: null,
        key: key && formatKey(key),
        practised: [],
        reachedOn: undefined,
      };
    }),
    days: plan.days.map(({ day, minutes, items }) => ({
      day,
      minutes,
      times: windowsOn(times, day).map((each) => ({ from: each.from, minutes: each.minutes })),
      asked: items,
      played: 0,
      besides: [],
    })),
    notes: plan.notes,
    played: { minutes: 0, days: 0 },
  };
}
