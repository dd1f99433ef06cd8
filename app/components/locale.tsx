import { createContext, use, type ReactNode } from "react";
import type { Day } from "~/core/units";

const LocaleContext = createContext("en-GB");
const ZoneContext = createContext("UTC");

export function LocaleProvider({ locale, children }: { locale: string; children: ReactNode }) {
  return <LocaleContext value={locale}>{children}</LocaleContext>;
}

/** The studio's own clock: what happened at a moment is told by it, wherever one reads it. */
export function ZoneProvider({ timeZone, children }: { timeZone: string; children: ReactNode }) {
  return <ZoneContext value={timeZone}>{children}</ZoneContext>;
}

const noon = (day: Day) => new Date(`${day}T12:00:00Z`);

type DateOptions = Pick<Intl.DateTimeFormatOptions, "weekday" | "day" | "month">;

/** Making a formatter takes far longer than using it. */
function makeFormats(locale: string, timeZone: string) {
  const date = (options: DateOptions) => {
    const formatter = new Intl.DateTimeFormat(locale, { timeZone: "UTC", ...options });
    return (day: Day) => formatter.format(noon(day));
  };
  const at = (options: Intl.DateTimeFormatOptions) => {
    const formatter = new Intl.DateTimeFormat(locale, { timeZone, ...options });
    return (moment: Date) => formatter.format(moment);
  };
  const dayOfMoment = at({ day: "numeric", month: "long" });
  const clock = at({ hour: "2-digit", minute: "2-digit", hourCycle: "h23" });
  const monthName = new Intl.DateTimeFormat(locale, { timeZone: "UTC", month: "long" });
  const number = (options?: Intl.NumberFormatOptions) => {
    const formatter = new Intl.NumberFormat(locale, options);
    return (value: number) => formatter.format(value);
  };
  return {
    weekday: date({ weekday: "short" }),
    fullWeekday: date({ weekday: "long" }),
    shortDay: date({ weekday: "short", day: "numeric", month: "short" }),
    longDay: date({ weekday: "long", day: "numeric", month: "long" }),
    /** The name of a month, 1–12. */
    monthOf: (month: number) => monthName.format(new Date(Date.UTC(2026, month - 1, 15))),
    dayOfMoment,
    /** Its day and time of day; put together here, as servers and browsers join them differently. */
    moment: (moment: Date) => `${dayOfMoment(moment)}, ${clock(moment)}`,
    number: number(),
    whole: number({ maximumFractionDigits: 0 }),
    tenth: number({ maximumFractionDigits: 1 }),
    percent: number({ style: "percent", maximumFractionDigits: 0 }),
  };
}

const made = new Map<string, ReturnType<typeof makeFormats>>();
const MOST_LOCALES = 50;

/** The browser's locale, as its requests say it. */
export const useLocale = (): string => use(LocaleContext);

/** Dates and numbers as the browser's locale writes them, the same on server and client. */
export function useFormats() {
  const locale = use(LocaleContext);
  const timeZone = use(ZoneContext);
  const key = `${locale} ${timeZone}`;
  const known = made.get(key);
  if (known) return known;
  const fresh = makeFormats(locale, timeZone);
  if (made.size < MOST_LOCALES) made.set(key, fresh);
  return fresh;
}
