import { Controller } from "react-hook-form";
import { DayField, type DayFieldProps } from "./day-field";
import type { Typed } from "./sent-form";

type FormDayFieldProps = Pick<DayFieldProps, "label" | "min"> & { readonly name: string };

/** A day in a `SentForm`. */
export function FormDayField({ name, ...rest }: FormDayFieldProps) {
  return (
    <Controller<Typed>
      name={name}
      render={({ field: { value, onChange }, fieldState: { error } }) => (
        <DayField
          name={name}
          value={value ?? ""}
          onChange={onChange}
          error={error?.message}
          {...rest}
        />
      )}
    />
  );
}
