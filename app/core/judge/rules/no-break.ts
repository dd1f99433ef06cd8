import { daysBetween } from "~/core/units";
import { ofStudent } from "../rule";

const LONGEST_MINUTES = 30;
const BREAK_MINUTES = 4;
const RECENT_DAYS = 3;

/** More than half an hour was played in one go. */
export const noBreak = ofStudent(({ lastSitting, today }) => {
  if (!lastSitting || daysBetween(lastSitting.day, today) > RECENT_DAYS) return undefined;
  const { playing, length, day } = lastSitting;
  if (playing <= LONGEST_MINUTES || length - playing >= BREAK_MINUTES) return undefined;
  return { saw: { minutes: Math.round(playing), day }, places: ["today"] };
});
