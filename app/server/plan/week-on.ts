import { STALE_DAYS, type AssignmentItem, type Reached } from "~/core/week";
import type { WeekNote } from "~/core/session";
import { addDays, daysBetween, weekdayOf, type Day } from "~/core/units";
import type { Assignment } from "~/db/queries";
import { keyFor } from "./week-plan";

type WeekDays = Pick<Assignment, "from_day" | "until_day">;

/** A week as it goes on: since when its keys go round, and the lesson that didn't come. */
export type Running<W extends WeekDays> = W & { readonly since: Day; readonly lesson?: Day };
export type RunningWeek = Running<Assignment>;

/**
 * A week in the stretches in which it is laid out up to a day: until its lesson, and seven days at
 * a time where no other week was set by then.
 */
export function stretchesOf<W extends WeekDays>(week: W, today: Day): Running<W>[] {
  const { from_day: since, until_day: lesson } = week;
  const late = Math.min(STALE_DAYS, daysBetween(lesson, today));
  const weeksOn = late > 0 ? Math.floor(late / USUAL_DAYS) + 1 : 0;
  const end = addDays(lesson, STALE_DAYS + 1);
  const goneOn = Array.from({ length: weeksOn }, (_, n) => {
    const from = addDays(lesson, USUAL_DAYS * n);
    const until = addDays(from, USUAL_DAYS);
    return { ...week, since, lesson, from_day: from, until_day: until < end ? until : end };
  });
  return [{ ...week, since }, ...goneOn];
}

/**
 * The week that is on: the newest that was set and has begun. On the day of the lesson it is the
 * one that ends; until the next one is set, what was asked goes on, week by week.
 */
export function weekOn<W extends WeekDays>(
  weeks: readonly W[],
  today: Day,
): Running<W> | undefined {
  const newest = weeks.find(({ from_day }) => from_day <= today);
  if (!newest || daysBetween(newest.until_day, today) > STALE_DAYS) return undefined;
  return stretchesOf(newest, today).at(-1);
}

/** A week of the database, as the core tells it. */
export const toTell = <W extends Assignment & { readonly since?: Day }>(week: W) => ({
  ...{ id: week.id, from: week.from_day, until: week.until_day, text: week.text },
  since: week.since ?? week.from_day,
});

/** The week that is on, where it still asks for something: not on the day of its lesson. */
export const changeable = <W extends WeekDays>(weeks: readonly W[], today: Day) => {
  const on = weekOn(weeks, today);
  return on && on.until_day > today ? on : undefined;
};

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

/** The items of a week that are still worked on. */
export const openItems = (week: Pick<Assignment, "text">): readonly AssignmentItem[] =>
  week.text.items.filter(({ decision, until }) => decision !== "finished" && until === null);

/** What the week says of an item, for the stand; no tempo to come to where that was passed before. */
export const noteOf = (
  item: AssignmentItem,
  week: RunningWeek,
  today: Day,
  reached: Reached = new Map(),
): WeekNote => ({
  listenFor: item.focus,
  note: item.note,
  // By heart is something to play.
  focuses: [...new Set([...item.focuses, ...(item.kind === "memory" ? ["memory"] : [])])],
  goalTempo: reached.has(item.id) ? null : item.goalTempo,
  recordRun: item.recordRun,
  key: keyFor(item, week.since, today) ?? null,
});

/** What the week says of a passage or of an item; nothing where it asks neither. */
export function weekNotes(week: RunningWeek | undefined, today: Day, reached?: Reached) {
  const items = week ? openItems(week) : [];
  return (part: {
    readonly passageId: string | null;
    readonly itemId: string | null;
  }): WeekNote | undefined => {
    const item = items.find(({ id, passageId }) =>
      part.passageId === null ? id === part.itemId : passageId === part.passageId,
    );
    return item && noteOf(item, week!, today, reached);
  };
}

/** A lesson that is prepared so many days before it is due is the one that is coming. */
const EARLY_DAYS = 2;

/** Where the next week begins: today, or at the lesson that is coming, when it is prepared early. */
export function beginsOn(last: WeekDays | undefined, today: Day): Day {
  if (!last) return today;
  const left = daysBetween(today, last.until_day);
  return left > 0 && left <= EARLY_DAYS ? last.until_day : today;
}
