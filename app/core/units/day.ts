import { TZDate, tzOffset } from "@date-fns/tz";

/** A calendar day "yyyy-mm-dd", in the studio's time zone. */
export type Day = string;

const MS_PER_MINUTE = 60_000;
const MS_PER_DAY = 86_400_000;

/**
 * The day on which a moment (milliseconds since 1970) falls in a time zone. By the zone's offset
 * and not by a `TZDate`, which takes seven times as long: a board asks this for thousands of plays.
 */
export function dayOf(at: number, timeZone: string): Day {
  const wall = at + tzOffset(timeZone, new Date(at)) * MS_PER_MINUTE;
  return new Date(wall).toISOString().slice(0, 10);
}

/** Reading a day takes longer than all that is counted with it, and few are asked for again and again. */
const read = new Map<Day, number>();
const MOST_READ = 20_000;

/** Days since 1 January 1970. */
function numberOf(day: Day): number {
  const known = read.get(day);
  if (known !== undefined) return known;
  if (read.size >= MOST_READ) read.clear();
  const [year, month, date] = [day.slice(0, 4), day.slice(5, 7), day.slice(8, 10)].map(Number);
  const number = Date.UTC(year!, month! - 1, date) / MS_PER_DAY;
  read.set(day, number);
  return number;
}

export const addDays = (day: Day, days: number): Day =>
  new Date((numberOf(day) + days) * MS_PER_DAY).toISOString().slice(0, 10);

/** Whole days from one day to another; negative when `to` comes first. */
export const daysBetween = (from: Day, to: Day): number => numberOf(to) - numberOf(from);

const WEEK_DAYS = 7;
/** 1 January 1970 was a Thursday. */
const FIRST_WEEKDAY = 3;

/** 0 is Monday, as weeks are planned here. */
export const weekdayOf = (day: Day): number => {
  const weekday = (numberOf(day) + FIRST_WEEKDAY) % WEEK_DAYS;
  return weekday < 0 ? weekday + WEEK_DAYS : weekday;
};

/** Whether a name is a time zone that this machine knows. */
export const isTimeZone = (name: string): boolean =>
  /^[A-Za-z]/.test(name) && !Number.isNaN(tzOffset(name, new Date(0)));

/**
 * The moment at which clocks in a time zone show "hh:mm" on a day, in milliseconds since 1970. A
 * time that is skipped when the clocks go forward is taken as much later: half past two becomes
 * half past three. Of a time that comes twice it is the second.
 */
export function momentOf(day: Day, time: string, timeZone: string): number {
  const [year, month, date] = day.split("-").map(Number) as [number, number, number];
  const [hours, minutes] = time.split(":").map(Number) as [number, number];
  return new TZDate(year, month - 1, date, hours, minutes, timeZone).getTime();
}
