import type { Day } from "~/core/units";
import type { AssignmentItem } from "./assignment";

/** What was changed in a week while it was on: of an item that stays, what was said before and since. */
export interface WeekChange {
  readonly day: Day;
  readonly what: "added" | "changed" | "withdrawn";
  readonly item: AssignmentItem;
  readonly was: AssignmentItem | undefined;
}

/** Everything that was changed in a week after it had begun, from all that it says; the latest day first. */
export function weekChanges(all: readonly AssignmentItem[]): WeekChange[] {
  const changes = all.flatMap((item): WeekChange[] => {
    const others = all.filter(({ id }) => id === item.id);
    const was = others.find(({ until }) => until !== null && until === item.since);
    const goesOn = others.some(({ since }) => since !== null && since === item.until);
    const begun: WeekChange[] = item.since
      ? [{ day: item.since, what: was ? "changed" : "added", item, was }]
      : [];
    // What was finished at a lesson was no change.
    if (item.until === null || goesOn || item.decision === "finished") return begun;
    return [...begun, { day: item.until, what: "withdrawn", item, was: undefined }];
  });
  return changes.toSorted((a, b) => b.day.localeCompare(a.day));
}
