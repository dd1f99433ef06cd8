import type { AssignmentItem } from "~/core/week";
import type { WeekNote } from "~/core/session";
import { addDays, daysBetween, type Day } from "~/core/units";
import type { Assignment } from "~/db/queries";
import { keyFor } from "./week-plan";

/** So long after its lesson should have been, nobody goes by a week any more. */
const STALE_DAYS = 28;

/**
 * The week that is on: the newest that was set and has begun. Until the next one is set, what was
 * asked goes on, week by week.
 */
export function weekOn(weeks: readonly Assignment[], today: Day): Assignment | undefined {
  const newest = weeks.find(({ from_day }) => from_day <= today);
  if (!newest) return undefined;
  const late = daysBetween(newest.until_day, today);
  if (late < 0 || late > STALE_DAYS) return late < 0 ? newest : undefined;
  const from = addDays(newest.until_day, 7 * Math.floor(late / 7));
  return { ...newest, from_day: from, until_day: addDays(from, 7) };
}

/** The items of a week that are still worked on. */
export const openItems = (week: Pick<Assignment, "text">): readonly AssignmentItem[] =>
  week.text.items.filter(({ decision }) => decision !== "finished");

/** What the week says of an item, for the stand. */
export const noteOf = (item: AssignmentItem, week: Assignment, today: Day): WeekNote => ({
  listenFor: item.focus,
  note: item.note,
  goalTempo: item.goalTempo,
  key: keyFor(item, week.from_day, today) ?? null,
});

/** What the week says of a passage or of an item; nothing where it asks neither. */
export function weekNotes(week: Assignment | undefined, today: Day) {
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
