import TextField, { type TextFieldProps } from "@mui/material/TextField";
import { useController, type Control, type FieldPath, type FieldValues } from "react-hook-form";

type FormNumberProps<T extends FieldValues, N extends FieldPath<T>> = Pick<
  TextFieldProps,
  "sx" | "disabled"
> & {
  readonly control: Control<T>;
  readonly name: N;
  readonly label: string;
  readonly min: number;
  readonly max: number;
  readonly helper?: string | undefined;
  /** What an empty field is; NaN is refused. */
  readonly empty?: number | null;
};

const shown = (value: unknown): string =>
  typeof value === "number" && !Number.isNaN(value) ? String(value) : "";

/** A number in a form whose values are not text. */
export function FormNumber<T extends FieldValues, N extends FieldPath<T>>(
  props: FormNumberProps<T, N>,
) {
  const { control, name, label, min, max, helper, empty = NaN, ...rest } = props;
  const { field, fieldState } = useController<T, N>({ control, name });
  const sentence = fieldState.error?.message;
  return (
    <TextField
      type="number"
      size="small"
      name={name}
      label={label}
      value={shown(field.value)}
      error={sentence !== undefined}
      helperText={sentence ?? helper}
      inputRef={field.ref}
      onBlur={field.onBlur}
      onChange={({ target }) => field.onChange(target.value === "" ? empty : Number(target.value))}
      slotProps={{ htmlInput: { min, max } }}
      {...rest}
    />
  );
}
