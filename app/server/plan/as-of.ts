import { dayOf, type Day } from "~/core/units";
import type { LogEntry } from "~/db/queries";

/**
 * A session as it stands on a day: one that was left by the door, its last event before that day
 * began, has ended. It is only read so: plays that arrive later are still put in.
 */
export const asOf = (entry: LogEntry, today: Day, timeZone: string): LogEntry => {
  const left = entry.ended === null && dayOf(entry.last_at.getTime(), timeZone) < today;
  return left ? { ...entry, ended: "left" } : entry;
};
