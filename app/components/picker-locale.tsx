import { AdapterDateFns } from "@mui/x-date-pickers/AdapterDateFns";
import { LocalizationProvider } from "@mui/x-date-pickers/LocalizationProvider";
import { enGB } from "date-fns/locale/en-GB";
import { useMemo, type ReactNode } from "react";
import { useLocale } from "./locale";

type WeekStart = 0 | 1 | 2 | 3 | 4 | 5 | 6;
/** Not in every browser, and called differently in older ones. */
interface WithWeekInfo {
  readonly weekInfo?: { readonly firstDay: number };
  getWeekInfo?(): { readonly firstDay: number };
}

/** 0 is Sunday; Monday where the browser doesn't say. */
function weekStart(locale: string): WeekStart {
  const told = new Intl.Locale(locale) as WithWeekInfo;
  const { firstDay } = told.getWeekInfo?.() ?? told.weekInfo ?? { firstDay: 1 };
  return (firstDay % 7) as WeekStart;
}

const PARTS: Partial<Record<Intl.DateTimeFormatPartTypes, string>> = {
  day: "dd",
  month: "MM",
  year: "yyyy",
};

/** How a locale writes a day in figures, as date-fns spells it: "dd/MM/yyyy". */
export function dayFormat(locale: string): string {
  const options = { day: "2-digit", month: "2-digit", year: "numeric" } as const;
  return new Intl.DateTimeFormat(locale, options)
    .formatToParts(0)
    .map(({ type, value }) => PARTS[type] ?? value)
    .join("");
}

/** Whether a locale counts the hours of a day to twelve, twice. */
export const twelveHours = (locale: string): boolean =>
  new Intl.DateTimeFormat(locale, { hour: "numeric" }).resolvedOptions().hour12 === true;

/** What the pickers need: words as the interface has them, the week as the locale begins it. */
export function PickerLocale({ children }: { children: ReactNode }) {
  const locale = useLocale();
  // The same one as long as the locale is: with a new one a field forgets which part is typed.
  const adapted = useMemo(
    () => ({ ...enGB, options: { ...enGB.options, weekStartsOn: weekStart(locale) } }),
    [locale],
  );
  return (
    <LocalizationProvider dateAdapter={AdapterDateFns} adapterLocale={adapted}>
      {children}
    </LocalizationProvider>
  );
}
