/** A calendar day "yyyy-mm-dd", in the studio's time zone. */
export type Day = string;

const formatters = new Map<string, Intl.DateTimeFormat>();

function formatterFor(timeZone: string): Intl.DateTimeFormat {
  const known = formatters.get(timeZone);
  if (known) return known;
  // The Swedish locale writes dates as ISO 8601 does.
  const made = new Intl.DateTimeFormat("sv-SE", { timeZone, dateStyle: "short" });
  formatters.set(timeZone, made);
  return made;
}

/** The day on which a moment (milliseconds since 1970) falls in a time zone. */
export const dayOf = (at: number, timeZone: string): Day => formatterFor(timeZone).format(at);

const MS_PER_DAY = 86_400_000;
const noon = (day: Day): number => Date.parse(`${day}T12:00:00Z`);

export const addDays = (day: Day, days: number): Day =>
  new Date(noon(day) + days * MS_PER_DAY).toISOString().slice(0, 10);

/** Whole days from one day to another; negative when `to` comes first. */
export const daysBetween = (from: Day, to: Day): number =>
  Math.round((noon(to) - noon(from)) / MS_PER_DAY);

/** Whether a name is a time zone that this machine knows. */
export function isTimeZone(name: string): boolean {
  try {
    formatterFor(name);
    return true;
  } catch {
    return false;
  }
}

const MS_PER_MINUTE = 60_000;
const wallClocks = new Map<string, Intl.DateTimeFormat>();

/** What a clock in a time zone shows at a moment, as if it were UTC. */
function wallClock(at: number, timeZone: string): number {
  const known = wallClocks.get(timeZone);
  const formatter =
    known ??
    new Intl.DateTimeFormat("sv-SE", { timeZone, dateStyle: "short", timeStyle: "medium" });
  wallClocks.set(timeZone, formatter);
  return Date.parse(`${formatter.format(at).replace(" ", "T")}Z`);
}

/**
 * The moment at which clocks in a time zone show "hh:mm" on a day, in milliseconds since 1970. A
 * time that is skipped when the clocks go forward is taken as much later: half past two becomes
 * half past three.
 */
export function momentOf(day: Day, time: string, timeZone: string): number {
  const wanted = Date.parse(`${day}T${time}:00Z`);
  const first = wanted - (wallClock(wanted, timeZone) - wanted);
  const second = first - (wallClock(first, timeZone) - wanted);
  const shown = Math.abs(wallClock(second, timeZone) - wanted) < MS_PER_MINUTE;
  return shown ? second : Math.max(first, second);
}
