import { DesktopTimePicker } from "@mui/x-date-pickers/DesktopTimePicker";
import { isValid, lightFormat, parseISO } from "date-fns";
import { Clock } from "lucide-react";
import { useState } from "react";
import { useLocale } from "./locale";
import { PickerLocale, twelveHours } from "./picker-locale";

interface TimeFieldProps {
  readonly label: string;
  /** "hh:mm", as a clock of 24 hours shows it; empty while what is typed is no time. */
  readonly value: string;
  readonly onChange: (time: string) => void;
  /** The sentence of a refusal. */
  readonly error?: string | undefined;
}

/** Any day without a change of clocks. */
const dateAt = (time: string): Date | null =>
  time === "" ? null : parseISO(`2026-01-15T${time}:00`);
const timeIn = (date: Date | null): string =>
  date && isValid(date) ? lightFormat(date, "HH:mm") : "";

const Icon = () => <Clock size={18} />;

/** A time of day, typed or chosen, in the locale's twelve or twenty-four hours. */
export function TimeField({ label, value, onChange, error }: TimeFieldProps) {
  const twelve = twelveHours(useLocale());
  const [shown, setShown] = useState(() => dateAt(value));
  // What is half typed is no time yet and stays; a time given from outside takes its place.
  if (timeIn(shown) !== value) setShown(dateAt(value));
  return (
    <PickerLocale>
      <DesktopTimePicker
        label={label}
        value={shown}
        ampm={twelve}
        timeSteps={{ minutes: 5 }}
        onChange={(date) => {
          setShown(date);
          onChange(timeIn(date));
        }}
        slots={{ openPickerIcon: Icon }}
        slotProps={{
          textField: {
            size: "small",
            sx: { width: 150 },
            helperText: error,
            ...(error !== undefined && { error: true }),
          },
        }}
      />
    </PickerLocale>
  );
}
