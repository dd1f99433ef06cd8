import TextField, { type TextFieldProps } from "@mui/material/TextField";
import { useController, type Control, type FieldPath, type FieldValues } from "react-hook-form";
import type { Typed } from "./sent-form";

type FormFieldProps<T extends FieldValues, N extends FieldPath<T>> = Omit<
  TextFieldProps,
  "name" | "error" | "id" | "helperText" | "value" | "defaultValue"
> & {
  readonly name: N;
  /** The form's control; that of the `SentForm` around it without one. */
  readonly control?: Control<T>;
  readonly helper?: string | undefined;
};

/** A text field of a form: it keeps what was typed and carries the sentence of its refusal. */
export function FormField<T extends FieldValues = Typed, N extends FieldPath<T> = FieldPath<T>>(
  props: FormFieldProps<T, N>,
) {
  const { name, control, helper, onChange, ...rest } = props;
  const {
    field: { ref, ...field },
    fieldState: { error },
  } = useController<T, N>({ name, ...(control && { control }) });
  return (
    <TextField
      id={`field-${name}`}
      error={error !== undefined}
      helperText={error?.message ?? helper}
      inputRef={ref}
      {...field}
      onChange={(event) => {
        field.onChange(event);
        onChange?.(event);
      }}
      {...rest}
    />
  );
}
