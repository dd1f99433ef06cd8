import * as v from "valibot";
import {
  lessonTimesSchema,
  type PlayLimits,
  type TimeWindow,
  type WeekTimes,
} from "./availability";

/** A week in a few words, as it is said for many at once; what is left out stays as it is. */
export interface SimpleTimes {
  /** So many minutes on each of some weekdays; 0 is Monday. */
  readonly practice?: { readonly weekdays: readonly number[]; readonly minutes: number };
  readonly lesson?: { readonly weekday: number; readonly from: string };
  readonly limits?: PlayLimits | null;
}

const LESSON_MINUTES = 30;
/** When somebody practises who hasn't said so: the first of these that meets no lesson. */
const LIKELY = ["17:00", "18:30", "15:00"];

/** The times of a week with what was said of it, and why they can't be. */
export function withSimpleTimes(
  times: WeekTimes,
  { practice, lesson, limits }: SimpleTimes,
): v.SafeParseResult<typeof lessonTimesSchema> {
  const changed = {
    ...times,
    ...(lesson && { lesson: { ...lesson, minutes: times.lesson?.minutes ?? LESSON_MINUTES } }),
    ...(limits !== undefined && { limits }),
  };
  const parsed = (all: WeekTimes) => v.safeParse(lessonTimesSchema, all);
  if (!practice) return parsed(changed);
  const { weekdays, minutes } = practice;
  const windows = weekdays.map((weekday): TimeWindow => {
    const at = (from: string) => ({ weekday, from, minutes });
    const free = LIKELY.find((from) => parsed({ ...changed, windows: [at(from)] }).success);
    return at(free ?? LIKELY[0]!);
  });
  return parsed({ ...changed, windows });
}
