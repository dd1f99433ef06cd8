import IconButton from "@mui/material/IconButton";
import { X } from "lucide-react";
import { Controller } from "react-hook-form";
import { FormNumber } from "~/components/form-number";
import { TimeField } from "~/components/time-field";
import type { TimesControl } from "./times-form";
import styles from "./times-page.module.css";

interface WindowFieldsProps {
  readonly control: TimesControl;
  readonly name: `windows.${number}` | "lesson";
  readonly labels: { readonly from: string; readonly minutes: string };
  readonly remove?: { readonly label: string; readonly act: () => void };
}

/** From when, and how long. */
export function WindowFields({ control, name, labels, remove }: WindowFieldsProps) {
  return (
    <span className={styles.window}>
      <Controller
        control={control}
        name={`${name}.from`}
        render={({ field: { value, onChange }, fieldState: { error } }) => (
          <TimeField
            label={labels.from}
            value={value ?? ""}
            onChange={onChange}
            error={error?.message}
          />
        )}
      />
      <FormNumber
        control={control}
        name={`${name}.minutes`}
        label={labels.minutes}
        min={5}
        max={240}
        sx={{ width: 110 }}
      />
      {remove && (
        <IconButton size="small" aria-label={remove.label} onClick={remove.act}>
          <X size={16} />
        </IconButton>
      )}
    </span>
  );
}
