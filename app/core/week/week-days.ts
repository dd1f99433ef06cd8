import { roomForItems } from "~/core/session";
import { addDays, daysBetween, type Day } from "~/core/units";
import { minutesOn, type WeekTimes } from "./availability";
import type { LayoutDay } from "./layout";

/** How far before its first day a week looks for the last time of an item. */
export const LOOK_BACK_DAYS = 8;

export const daysOf = (from: Day, until: Day): Day[] =>
  Array.from({ length: Math.max(0, daysBetween(from, until)) }, (_, n) => addDays(from, n));

/** The days of a week with the minutes that there are, and what of them is for what is asked. */
export const daysWithMinutes = (from: Day, until: Day, times: WeekTimes): LayoutDay[] =>
  daysOf(from, until).map((day) => {
    const minutes = minutesOn(times, day);
    return { day, minutes, room: roomForItems(minutes, undefined, times.limits?.stretch) };
  });
