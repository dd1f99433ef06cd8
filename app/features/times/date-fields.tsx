import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import { Plus, X } from "lucide-react";
import { Controller, useFieldArray, useWatch } from "react-hook-form";
import { DayField } from "~/components/day-field";
import { FormNumber } from "~/components/form-number";
import { addDays, type Day } from "~/core/units";
import { planWords } from "~/words/plan";
import type { TimesControl } from "./times-form";
import styles from "./times-page.module.css";

const { times: said } = planWords;

/** Days that are not as their weekday: holidays, a day off, a long Saturday. */
export function DateFields({ control, today }: { control: TimesControl; today: Day }) {
  const { fields, append, remove } = useFieldArray({ control, name: "dates" });
  const dates = useWatch({ control, name: "dates" });
  const last = dates
    .map(({ day }) => day)
    .toSorted()
    .at(-1);
  return (
    <div className={styles.dates}>
      {fields.map(({ id }, at) => (
        <span key={id} className={styles.window}>
          <Controller
            control={control}
            name={`dates.${at}.day`}
            render={({ field: { value, onChange }, fieldState: { error } }) => (
              <DayField
                label={said.date}
                value={value}
                min={today}
                onChange={onChange}
                error={error?.message}
              />
            )}
          />
          <FormNumber
            control={control}
            name={`dates.${at}.minutes`}
            label={said.minutes}
            min={0}
            max={240}
            sx={{ width: 110 }}
          />
          <IconButton
            size="small"
            aria-label={said.removeDate(dates[at]?.day ?? "")}
            onClick={() => remove(at)}
          >
            <X size={16} />
          </IconButton>
        </span>
      ))}
      <Button
        variant="outlined"
        startIcon={<Plus size={16} />}
        onClick={() => append({ day: addDays(last || today, 1), minutes: 0 })}
      >
        {said.addDate}
      </Button>
    </div>
  );
}
