import * as v from "valibot";
import type { Day } from "~/core/units";

/** Monday first, as the week of school and lessons runs. */
export const WEEKDAYS = [
  "Monday",
  "Tuesday",
  "Wednesday",
  "Thursday",
  "Friday",
  "Saturday",
  "Sunday",
] as const;

/** 0 is Monday. */
export const weekdayOf = (day: Day): number => (new Date(`${day}T12:00:00Z`).getUTCDay() + 6) % 7;

const DAY_MINUTES = 24 * 60;
const LONGEST_DAY = 240;

const weekday = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(6));
const clock = v.pipe(
  v.string(),
  v.regex(/^([01]\d|2[0-3]):[0-5]\d$/, "A time of day is written as 17:30."),
);
const minutes = v.pipe(
  v.number("Minutes are a number."),
  v.integer("Whole minutes."),
  v.minValue(5, "At least 5 minutes."),
  v.maxValue(LONGEST_DAY, `At most ${LONGEST_DAY} minutes.`),
);
const windowSchema = v.object({ weekday, from: clock, minutes });
export type TimeWindow = v.InferOutput<typeof windowSchema>;

const startOf = ({ from }: TimeWindow): number =>
  Number(from.slice(0, 2)) * 60 + Number(from.slice(3));
const endOf = (window: TimeWindow): number => startOf(window) + window.minutes;

const meet = (a: TimeWindow, b: TimeWindow): boolean =>
  a.weekday === b.weekday && startOf(a) < endOf(b) && startOf(b) < endOf(a);

const named = ({ weekday: day, from }: TimeWindow) => `${WEEKDAYS[day]} ${from}`;

type Times = { readonly windows: readonly TimeWindow[]; readonly lesson: TimeWindow | null };

/** The first thing that can't be, as a sentence. */
function impossible({ windows, lesson }: Times): string | undefined {
  const all = lesson ? [...windows, lesson] : windows;
  const late = all.find((each) => endOf(each) > DAY_MINUTES);
  if (late) return `${named(late)} goes on past midnight.`;
  for (const [i, one] of all.entries()) {
    const other = all.slice(i + 1).find((each) => meet(one, each));
    if (other === lesson && other) return `${named(one)} overlaps with the lesson.`;
    if (other) return `${named(one)} and ${named(other)} overlap.`;
  }
  const full = WEEKDAYS.findIndex((_, day) => minutesOnWeekday(windows, day) > LONGEST_DAY);
  return full < 0 ? undefined : `More than ${LONGEST_DAY} minutes on ${WEEKDAYS[full]}.`;
}

const MOST_WINDOWS = 28;

/** Times as they are stored: without any until they have been asked for. */
export const storedTimesSchema = v.object({
  windows: v.array(windowSchema),
  lesson: v.nullable(windowSchema),
});

/** When a student can practise, and when the lesson is. */
export const timesSchema = v.pipe(
  v.object({
    windows: v.pipe(
      v.array(windowSchema),
      v.minLength(1, "Give at least one day on which there is time to practise."),
      v.maxLength(MOST_WINDOWS, `At most ${MOST_WINDOWS} times in a week.`),
    ),
    lesson: v.nullable(windowSchema),
  }),
  v.rawCheck(({ dataset, addIssue }) => {
    const message = dataset.typed ? impossible(dataset.value) : undefined;
    if (message) addIssue({ message });
  }),
);
export type WeekTimes = v.InferOutput<typeof timesSchema>;

const minutesOnWeekday = (windows: readonly TimeWindow[], day: number): number =>
  windows.reduce((sum, each) => sum + (each.weekday === day ? each.minutes : 0), 0);

/** Minutes that there are on a day. */
export const minutesOn = (windows: readonly TimeWindow[], day: Day): number =>
  minutesOnWeekday(windows, weekdayOf(day));

/** The times of a day, earliest first. */
export const windowsOn = (windows: readonly TimeWindow[], day: Day): TimeWindow[] =>
  windows
    .filter((each) => each.weekday === weekdayOf(day))
    .toSorted((a, b) => startOf(a) - startOf(b));
