import IconButton from "@mui/material/IconButton";
import { Plus } from "lucide-react";
import { useFieldArray } from "react-hook-form";
import { useFormats } from "~/components/locale";
import type { TimeWindow } from "~/core/week";
import { addDays } from "~/core/units";
import { planWords } from "~/words/plan";
import type { TimesControl } from "./times-form";
import { WindowFields } from "./window-fields";
import styles from "./times-page.module.css";

const { times: said } = planWords;
const A_MONDAY = "2026-05-04";
const FIRST: Pick<TimeWindow, "from" | "minutes"> = { from: "17:00", minutes: 30 };

/** The name of a weekday; 0 is Monday. */
export function useWeekdayName() {
  const formats = useFormats();
  return (weekday: number) => formats.fullWeekday(addDays(A_MONDAY, weekday));
}

/** A week of ordinary days, with the times on each. */
export function WeekdayFields({ control }: { control: TimesControl }) {
  const nameOf = useWeekdayName();
  const { fields, append, remove } = useFieldArray({ control, name: "windows" });
  return (
    <ol className={styles.days}>
      {Array.from({ length: 7 }, (_, weekday) => (
        <li key={weekday}>
          <span className={styles.day}>{nameOf(weekday)}</span>
          <div className={styles.windows} role="group" aria-label={nameOf(weekday)}>
            {fields.map((window, at) =>
              window.weekday === weekday ? (
                <WindowFields
                  key={window.id}
                  control={control}
                  name={`windows.${at}`}
                  labels={{ from: said.from, minutes: said.minutes }}
                  remove={{
                    label: said.remove(nameOf(weekday), window.from),
                    act: () => remove(at),
                  }}
                />
              ) : null,
            )}
            {!fields.some((each) => each.weekday === weekday) && (
              <span className={styles.none}>{said.none}</span>
            )}
          </div>
          <IconButton
            aria-label={said.add(nameOf(weekday))}
            onClick={() => append({ ...FIRST, weekday })}
          >
            <Plus size={18} />
          </IconButton>
        </li>
      ))}
    </ol>
  );
}
