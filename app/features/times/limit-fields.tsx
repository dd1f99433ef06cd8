import FormControlLabel from "@mui/material/FormControlLabel";
import Switch from "@mui/material/Switch";
import { useController } from "react-hook-form";
import { FormNumber } from "~/components/form-number";
import { CHILD_LIMITS } from "~/core/week";
import { planWords } from "~/words/plan";
import type { TimesControl } from "./times-form";
import styles from "./times-page.module.css";

const { times: said } = planWords;

/** A child's day is not longer than it should be, and neither is a stretch without a break. */
export function LimitFields({ control }: { control: TimesControl }) {
  const {
    field: { value: limits, onChange },
  } = useController({ control, name: "limits" });
  return (
    <div className={styles.dates}>
      <FormControlLabel
        control={
          <Switch
            checked={limits !== null}
            onChange={(_, on) => onChange(on ? CHILD_LIMITS : null)}
          />
        }
        label={said.isChild}
      />
      {limits && (
        <>
          <FormNumber
            control={control}
            name="limits.day"
            label={said.mostADay}
            min={5}
            max={240}
            sx={{ width: 190 }}
          />
          <FormNumber
            control={control}
            name="limits.stretch"
            label={said.mostInARow}
            min={5}
            max={35}
            sx={{ width: 190 }}
          />
        </>
      )}
    </div>
  );
}
