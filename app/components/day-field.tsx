import { DesktopDatePicker } from "@mui/x-date-pickers/DesktopDatePicker";
import { formatISO, isValid, parseISO } from "date-fns";
import { CalendarDays } from "lucide-react";
import { useState } from "react";
import type { Day } from "~/core/units";
import { useLocale } from "./locale";
import { dayFormat, PickerLocale } from "./picker-locale";

export interface DayFieldProps {
  readonly label: string;
  /** Empty while what is typed is no day. */
  readonly value: Day | "";
  readonly onChange: (day: Day | "") => void;
  /** The field of a form under which the day is sent. */
  readonly name?: string;
  readonly min?: Day;
  /** The sentence of a refusal. */
  readonly error?: string | undefined;
}

const dateOf = (day: Day | ""): Date | null => (day === "" ? null : parseISO(day));
const dayIn = (date: Date | null): Day | "" =>
  date && isValid(date) && date.getFullYear() > 999
    ? formatISO(date, { representation: "date" })
    : "";

const Icon = () => <CalendarDays size={18} />;

/** A day, typed part by part in the locale's order or chosen from a month. */
export function DayField({ label, value, onChange, name, min, error }: DayFieldProps) {
  const locale = useLocale();
  const [shown, setShown] = useState(() => dateOf(value));
  // What is half typed is no day yet and stays; a day given from outside takes its place.
  if (dayIn(shown) !== value) setShown(dateOf(value));
  return (
    <PickerLocale>
      {name && <input type="hidden" name={name} value={value} />}
      <DesktopDatePicker
        label={label}
        value={shown}
        format={dayFormat(locale)}
        {...(min && { minDate: parseISO(min) })}
        onChange={(date) => {
          setShown(date);
          onChange(dayIn(date));
        }}
        slots={{ openPickerIcon: Icon }}
        slotProps={{
          textField: {
            size: "small",
            sx: { width: 180 },
            helperText: error,
            ...(error !== undefined && { error: true }),
          },
        }}
      />
    </PickerLocale>
  );
}
