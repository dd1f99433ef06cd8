import { createContext, use, type ReactNode } from "react";
import type { Day } from "~/core/units";

const LocaleContext = createContext("en-GB");

export function LocaleProvider({ locale, children }: { locale: string; children: ReactNode }) {
  return <LocaleContext value={locale}>{children}</LocaleContext>;
}

const noon = (day: Day) => new Date(`${day}T12:00:00Z`);

/** Dates and numbers as the browser's locale writes them, the same on server and client. */
export function useFormats() {
  const locale = use(LocaleContext);
  const date = (options: Intl.DateTimeFormatOptions) => (day: Day) =>
    new Intl.DateTimeFormat(locale, { timeZone: "UTC", ...options }).format(noon(day));
  return {
    weekday: date({ weekday: "short" }),
    shortDay: date({ weekday: "short", day: "numeric", month: "short" }),
    longDay: date({ weekday: "long", day: "numeric", month: "long" }),
    number: (value: number) => new Intl.NumberFormat(locale).format(value),
    whole: (value: number) =>
      new Intl.NumberFormat(locale, { maximumFractionDigits: 0 }).format(value),
    percent: (share: number) =>
      new Intl.NumberFormat(locale, { style: "percent", maximumFractionDigits: 0 }).format(share),
  };
}
