import * as v from "valibot";
import { weekdayOf, type Day } from "~/core/units";

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

/** A date on which there is more, less or no time. */
const dateSchema = v.object({
  day: v.pipe(v.string(), v.isoDate("A date is written as 2026-11-30.")),
  minutes: v.pipe(
    v.number("Minutes are a number."),
    v.integer("Whole minutes."),
    v.minValue(0, "Not below 0 minutes."),
    v.maxValue(LONGEST_DAY, `At most ${LONGEST_DAY} minutes.`),
  ),
});
export type DateWithTime = v.InferOutput<typeof dateSchema>;

/** For children: minutes a day, and in one stretch. */
const limitsSchema = v.object({
  day: minutes,
  stretch: v.pipe(
    v.number("Minutes are a number."),
    v.integer("Whole minutes."),
    v.minValue(5, "At least 5 minutes."),
    v.maxValue(35, "Nobody should play for more than 35 minutes without a break."),
  ),
});
export type PlayLimits = v.InferOutput<typeof limitsSchema>;

/** What a child is given until the teacher says otherwise (craft, 12). */
export const CHILD_LIMITS: PlayLimits = { day: 45, stretch: 20 };

interface Times {
  readonly windows: readonly TimeWindow[];
  readonly lesson: TimeWindow | null;
}

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

/** Refuses what can't be, with its sentence. */
const possible = <T extends Times>() =>
  v.rawCheck<T>(({ dataset, addIssue }) => {
    const message = dataset.typed ? impossible(dataset.value) : undefined;
    if (message) addIssue({ message });
  });

const MOST_WINDOWS = 28;

/** Times as they are stored: without any until they have been asked for. */
export const storedTimesSchema = v.object({
  windows: v.array(windowSchema),
  lesson: v.nullable(windowSchema),
  dates: v.optional(v.array(dateSchema), []),
  limits: v.optional(v.nullable(limitsSchema), null),
});

const MOST_DATES = 120;

/** When a student can practise, and when the lesson is. */
export const timesSchema = v.pipe(
  v.object({
    windows: v.pipe(
      v.array(windowSchema),
      v.minLength(1, "Give at least one day on which there is time to practise."),
      v.maxLength(MOST_WINDOWS, `At most ${MOST_WINDOWS} times in a week.`),
    ),
    lesson: v.nullable(windowSchema),
    dates: v.optional(
      v.pipe(
        v.array(dateSchema),
        v.maxLength(MOST_DATES, `At most ${MOST_DATES} dates.`),
        v.check(
          (dates) => new Set(dates.map(({ day }) => day)).size === dates.length,
          "A date is named twice.",
        ),
      ),
      [],
    ),
    limits: v.optional(v.nullable(limitsSchema), null),
  }),
  possible(),
);
export type WeekTimes = v.InferOutput<typeof timesSchema>;

/** The same where nobody has to say yet when there is time: a lesson alone will do. */
export const lessonTimesSchema = v.pipe(storedTimesSchema, possible());

const minutesOnWeekday = (windows: readonly TimeWindow[], day: number): number =>
  windows.reduce((sum, each) => sum + (each.weekday === day ? each.minutes : 0), 0);

/** What an ordinary week has: minutes, a child's days not above their limit, and on how many days. */
export function minutesInAWeek({ windows, limits }: Pick<WeekTimes, "windows" | "limits">) {
  const most = limits?.day || Infinity;
  const days = WEEKDAYS.map((_, day) => Math.min(most, minutesOnWeekday(windows, day) || 0));
  return {
    minutes: days.reduce((sum, each) => sum + each, 0),
    days: days.filter((each) => each > 0).length,
  };
}

/** Assumed while nobody has said when there is time. */
export const USUAL_MINUTES = 30;

/** Minutes that there are on a day: by its date, else by its weekday, never above the limit. */
export function minutesOn(
  { windows, dates, limits }: Pick<WeekTimes, "windows" | "dates" | "limits">,
  day: Day,
): number {
  const named = dates.find((each) => each.day === day);
  const weekly = windows.length > 0 ? minutesOnWeekday(windows, weekdayOf(day)) : USUAL_MINUTES;
  return Math.min(named?.minutes ?? weekly, limits?.day ?? LONGEST_DAY);
}

/** The times of a day, earliest first; none on a date that has no time. */
export const windowsOn = (
  { windows, dates }: Pick<WeekTimes, "windows" | "dates">,
  day: Day,
): TimeWindow[] =>
  dates.some((each) => each.day === day && each.minutes === 0)
    ? []
    : windows
        .filter((each) => each.weekday === weekdayOf(day))
        .toSorted((a, b) => startOf(a) - startOf(b));
