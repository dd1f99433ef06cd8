import FormHelperText from "@mui/material/FormHelperText";
import InputAdornment from "@mui/material/InputAdornment";
import Slider from "@mui/material/Slider";
import TextField from "@mui/material/TextField";
import { useId, useState } from "react";
import styles from "./number-field.module.css";

interface NumberFieldProps {
  readonly label: string;
  readonly unit: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  /** What one move of the slider changes. */
  readonly by?: number;
  readonly onChange: (value: number) => void;
  readonly error?: string | undefined;
  readonly helper?: string | undefined;
  /** Without one there is only the field. */
  readonly slider?: boolean;
}

/** A number with its unit: typed, or moved with a slider. */
export function NumberField(props: NumberFieldProps) {
  const { label, unit, value, min, max, onChange, error, helper, by = 1, slider = true } = props;
  const id = useId();
  const [typed, setTyped] = useState(Number.isNaN(value) ? "" : String(value));
  const shown = Number(typed) === value || Number.isNaN(value) ? typed : String(value);
  return (
    <div className={styles.field}>
      <TextField
        id={id}
        label={label}
        type="number"
        size="small"
        value={shown}
        error={error !== undefined}
        onChange={(event) => {
          setTyped(event.target.value);
          onChange(event.target.value === "" ? NaN : Number(event.target.value));
        }}
        slotProps={{
          htmlInput: { min, max, step: by, "aria-describedby": `${id}-help` },
          input: { endAdornment: <InputAdornment position="end">{unit}</InputAdornment> },
        }}
      />
      {slider && (
        <Slider
          aria-label={label}
          size="small"
          min={min}
          max={max}
          step={by}
          value={Number.isFinite(value) ? Math.min(max, Math.max(min, value)) : min}
          onChange={(_, next) => {
            setTyped(String(next));
            onChange(next as number);
          }}
        />
      )}
      {(error ?? helper) && (
        <FormHelperText id={`${id}-help`} error={error !== undefined}>
          {error ?? helper}
        </FormHelperText>
      )}
    </div>
  );
}
