import { createContext, use, type ReactNode } from "react";
import type { Day } from "~/core/units";

const LocaleContext = createContext("en-GB");

export function LocaleProvider({ locale, children }: { locale: string; children: ReactNode }) {
  return <LocaleContext value={locale}>{children}</LocaleContext>;
}

const noon = (day: Day) => new Date(`${day}T12:00:00Z`);

type DateOptions = Pick<Intl.DateTimeFormatOptions, "weekday" | "day" | "month">;

/** Making a formatter takes far longer than using it. */
function makeFormats(locale: string) {
  const date = (options: DateOptions) => {
    const formatter = new Intl.DateTimeFormat(locale, { timeZone: "UTC", ...options });
    return (day: Day) => formatter.format(noon(day));
  };
  const moment = new Intl.DateTimeFormat(locale, {
    timeZone: "UTC",
    day: "numeric",
    month: "long",
  });
  const number = (options?: Intl.NumberFormatOptions) => {
    const formatter = new Intl.NumberFormat(locale, options);
    return (value: number) => formatter.format(value);
  };
  return {
    weekday: date({ weekday: "short" }),
    fullWeekday: date({ weekday: "long" }),
    shortDay: date({ weekday: "short", day: "numeric", month: "short" }),
    longDay: date({ weekday: "long", day: "numeric", month: "long" }),
    /** The day of a moment, here. */
    moment: (at: Date) => moment.format(at),
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
  const known = made.get(locale);
  if (known) return known;
  const fresh = makeFormats(locale);
  if (made.size < MOST_LOCALES) made.set(locale, fresh);
  return fresh;
}
