import type { Day } from "~/core/units";
import type { AssignmentItem } from "./assignment";

/** What was practised, by whom it counts for: the id of a passage, of an item, or none of them. */
export type Spent = Readonly<Record<string, Readonly<Record<Day, number>>>>;

export interface SpentRow {
  /** Nothing that a week names: a warm-up, or free playing. */
  readonly of: string | null;
  readonly day: Day;
  readonly minutes: number;
}

/** Sums of minutes by whom they count for and day. */
export function spentOf(rows: readonly SpentRow[]): Spent {
  const spent: Record<string, Record<Day, number>> = {};
  for (const { of, day, minutes } of rows) {
    const days = (spent[of ?? ""] ??= {});
    days[day] = (days[day] ?? 0) + minutes;
  }
  return spent;
}

function sums(all: readonly (Readonly<Record<Day, number>> | undefined)[]) {
  const byDay = new Map<Day, number>();
  for (const days of all) {
    for (const [day, minutes] of Object.entries(days ?? {})) {
      byDay.set(day, (byDay.get(day) ?? 0) + minutes);
    }
  }
  return byDay as ReadonlyMap<Day, number>;
}

/** Minutes by day that went into an item: its passage at the stand, its tasks, and by hand. */
export const minutesOfItem = (
  { id, passageId }: Pick<AssignmentItem, "id" | "passageId">,
  spent: Spent,
): ReadonlyMap<Day, number> => sums([spent[id], passageId === null ? undefined : spent[passageId]]);

/** Minutes of all practice by day. */
export const minutesOfDays = (spent: Spent): ReadonlyMap<Day, number> => sums(Object.values(spent));
