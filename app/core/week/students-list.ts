import { err, ok, type Result } from "~/core/result";
import { CHILD_LIMITS, WEEKDAYS } from "./availability";
import type { SimpleTimes } from "./simple-times";

/** A line of a pasted list: who it is, and what of the week is said there. */
export interface ListedStudent {
  readonly name: string;
  readonly instrument: string;
  readonly times: SimpleTimes;
}

/** The weekday that a word of two letters or more begins; -1 where it begins none. */
const weekdayOf = (word: string): number =>
  word.length < 2
    ? -1
    : WEEKDAYS.findIndex((day) => day.toLowerCase().startsWith(word.toLowerCase()));

const CLOCK = /^([01]?\d|2[0-3])[:.]([0-5]\d)$/;

/** "Thu 15:30". */
function lessonOf(text: string): SimpleTimes["lesson"] {
  const [day = "", at = "", ...rest] = text.split(/\s+/);
  const clock = CLOCK.exec(at);
  const weekday = weekdayOf(day);
  if (rest.length > 0 || !clock || weekday < 0) return undefined;
  return { weekday, from: `${clock[1]!.padStart(2, "0")}:${clock[2]}` };
}

/** "30", "Mon Wed Fri 25", "Mon–Fri 20 min". */
function practiceOf(text: string): SimpleTimes["practice"] {
  const read = /^(.*?)\s*(\d{1,3})\s*(?:min(?:utes)?)?$/i.exec(text);
  if (!read) return undefined;
  const minutes = Number(read[2]);
  const words = read[1]!.split(/[\s+/]+/).filter((word) => word !== "");
  if (words.length === 0) return { weekdays: [0, 1, 2, 3, 4, 5, 6], minutes };
  const weekdays = words.flatMap((word) => {
    const [from, to] = word.split(/[-–]/).map(weekdayOf);
    if (to === undefined) return [from!];
    return from! < 0 || to < from!
      ? [-1]
      : Array.from({ length: to - from! + 1 }, (_, n) => from! + n);
  });
  return weekdays.includes(-1) ? undefined : { weekdays: [...new Set(weekdays)], minutes };
}

const CHILD = /^(child|yes)$/i;

/** What a column is for, as its refusal names it. */
export type ListColumn = "lesson" | "practice" | "child";

/**
 * A line of a list, by its columns: name, instrument, lesson, practice times, and whether it is a
 * child. What follows the name may be left out; columns part at commas, semicolons or tabs.
 */
export function listedStudent(line: string): Result<ListedStudent, ListColumn> {
  const [name = "", instrument = "", lesson = "", practice = "", child = ""] = line
    .split(/[,;\t]/)
    .map((part) => part.trim());
  const times = {
    ...(lesson && { lesson: lessonOf(lesson) }),
    ...(practice && { practice: practiceOf(practice) }),
    ...(child && { limits: CHILD.test(child) ? CHILD_LIMITS : undefined }),
  };
  if (lesson && !times.lesson) return err("lesson");
  if (practice && !times.practice) return err("practice");
  if (child && !times.limits) return err("child");
  return ok({ name, instrument, times: times as SimpleTimes });
}
