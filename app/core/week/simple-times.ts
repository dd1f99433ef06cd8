import * as v from "valibot";
import { timesSchema, type PlayLimits, type TimeWindow, type WeekTimes } from "./availability";

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
): v.SafeParseResult<typeof timesSchema> {
  const changed = {
    ...times,
    ...(lesson && { lesson: { ...lesson, minutes: times.lesson?.minutes ?? LESSON_MINUTES } }),
    ...(limits !== undefined && { limits }),
  };
  if (!practice) return parsed(changed);
  const { weekdays, minutes } = practice;
  const windows = weekdays.map((weekday): TimeWindow => {
    const at = (from: string) => ({ weekday, from, minutes });
    const free = LIKELY.find((from) => parsed({ ...changed, windows: [at(from)] }).success);
    return at(free ?? LIKELY[0]!);
  });
  return parsed({ ...changed, windows });
}

/** A lesson alone needs no practice times: those come later. */
function parsed(times: WeekTimes): v.SafeParseResult<typeof timesSchema> {
  if (times.windows.length > 0) return v.safeParse(timesSchema, times);
  const read = v.safeParse(timesSchema, { ...times, windows: [NO_WINDOW] });
  if (!read.success) return read;
  return { ...read, output: { ...read.output, windows: [] } };
}

/** Stands where there is none yet; it meets no lesson that a day can have. */
const NO_WINDOW: TimeWindow = { weekday: 0, from: "00:00", minutes: 5 };
