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

/** Days since 1 January 1970; read by its places, as every page counts thousands of days. */
const numberOf = (day: Day): number =>
  Date.UTC(Number(day.slice(0, 4)), Number(day.slice(5, 7)) - 1, Number(day.slice(8, 10))) /
  MS_PER_DAY;

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
