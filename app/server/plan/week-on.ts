import {
  NOTHING_BEFORE,
  previewOf,
  STALE_DAYS,
  weekly,
  type AssignmentItem,
  type AssignmentText,
  type WeekGoal,
  type WeekTimes,
} from "~/core/week";
import type { WeekNote } from "~/core/session";
import { addDays, daysBetween, weekdayOf, type Day } from "~/core/units";
import type { Assignment } from "~/db/queries";
import { keyFor } from "./week-plan";

type WeekDays = Pick<Assignment, "from_day" | "until_day"> & {
  readonly text?: AssignmentText;
};

/** A week with the day since which its keys go round, however often it has gone on since. */
export type Running<W extends WeekDays> = W & { readonly since: Day };
export type RunningWeek = Running<Assignment>;

/**
 * The week that is on: the newest that was set and has begun. On the day of the lesson it is the
 * one that ends; until the next one is set, what was asked goes on, week by week.
 */
export function weekOn<W extends WeekDays>(
  weeks: readonly W[],
  today: Day,
): Running<W> | undefined {
  const newest = weeks.find(({ from_day }) => from_day <= today);
  if (!newest) return undefined;
  const late = daysBetween(newest.until_day, today);
  const since = newest.from_day;
  if (late > STALE_DAYS) return undefined;
  if (late <= 0) return { ...newest, since };
  const from = addDays(newest.until_day, 7 * Math.floor(late / 7));
  const on = { ...newest, since, from_day: from, until_day: addDays(from, 7) };
  if (!newest.text) return on;
  // What was asked until a later lesson is asked in seven days now.
  const goal = weekly(newest.text, daysBetween(since, newest.until_day));
  return { ...on, text: { ...newest.text, goal } };
}

/** From lesson to lesson where nothing else is said. */
export const USUAL_DAYS = 7;

/** The next lesson after a day: on the weekday of the lessons, or a week on. */
export function nextLesson(from: Day, weekday: number | undefined): Day {
  const ahead = weekday === undefined ? 0 : weekday - weekdayOf(from);
  return addDays(from, ahead > 0 ? ahead : ahead + USUAL_DAYS);
}

/** So many weeks are read at a lesson: one that is set ahead, and back to one that has begun earlier. */
export const WEEKS_AROUND = 8;

/** The newest week where it begins today or later: what a lesson has set, or has prepared. */
export const aheadOf = (weeks: readonly Assignment[], today: Day): Assignment | undefined =>
  weeks[0] && weeks[0].from_day >= today ? weeks[0] : undefined;

/** The week that a lesson looks back on: the newest that began before today, else the first. */
export const lookedBackOn = (weeks: readonly Assignment[], today: Day): Assignment | undefined =>
  weeks.find(({ from_day }) => from_day < today) ?? weeks.at(-1);

/** What a week was when it was read: whoever has read it otherwise is told. */
export const stampOf = ({ id, version }: Pick<Assignment, "id" | "version">): string =>
  `${id} ${version}`;

/** What a week has asked by now: one whose lesson is late has gone on, and its days have asked. */
export function goalBy(
  { from_day: from, until_day, text }: Pick<Assignment, "from_day" | "until_day" | "text">,
  times: WeekTimes,
  today: Day,
): WeekGoal {
  const late = Math.min(STALE_DAYS, daysBetween(until_day, today));
  if (late <= 0) return text.goal;
  const until = addDays(until_day, late);
  return previewOf({ from, until, text, times, before: NOTHING_BEFORE }).text.goal;
}

/** The items of a week that are still worked on. */
export const openItems = (week: Pick<Assignment, "text">): readonly AssignmentItem[] =>
  week.text.items.filter(({ decision, until }) => decision !== "finished" && until === null);

/** What the week says of an item, for the stand. */
export const noteOf = (item: AssignmentItem, week: RunningWeek, today: Day): WeekNote => ({
  listenFor: item.focus,
  note: item.note,
  // By heart is something to play.
  focuses: [...new Set([...item.focuses, ...(item.kind === "memory" ? ["memory"] : [])])],
  goalTempo: item.goalTempo,
  recordRun: item.recordRun,
  key: keyFor(item, week.since, today) ?? null,
});

/** What the week says of a passage or of an item; nothing where it asks neither. */
export function weekNotes(week: RunningWeek | undefined, today: Day) {
  const items = week ? openItems(week) : [];
  return (part: {
    readonly passageId: string | null;
    readonly itemId: string | null;
  }): WeekNote | undefined => {
    const item = items.find(({ id, passageId }) =>
      part.passageId === null ? id === part.itemId : passageId === part.passageId,
    );
    return item && noteOf(item, week!, today);
  };
}
