import { daysBetween, LONGEST_UNBROKEN_MINUTES } from "~/core/units";
import { ofStudent } from "../rule";

const RECENT_DAYS = 3;

/** More than half an hour was played in one go. */
export const noBreak = ofStudent(({ lastSitting, today }) => {
  if (!lastSitting || daysBetween(lastSitting.day, today) > RECENT_DAYS) return undefined;
  const { unbroken, day } = lastSitting;
  if (unbroken <= LONGEST_UNBROKEN_MINUTES) return undefined;
  return { saw: { minutes: Math.round(unbroken), day }, places: ["today"] };
});
