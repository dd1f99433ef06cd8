import TextField, { type TextFieldProps } from "@mui/material/TextField";

export interface Refused {
  readonly errors: Readonly<Record<string, string>>;
  readonly values: Readonly<Record<string, string>>;
}

type FieldProps = Omit<TextFieldProps, "name" | "error" | "id" | "helperText"> & {
  readonly name: string;
  readonly helper?: string;
  readonly refused: Refused | undefined;
};

/** A text field that keeps what was typed and carries the sentence of its refusal. */
export function Field({ name, helper, refused, defaultValue, ...rest }: FieldProps) {
  const sentence = refused?.errors[name];
  return (
    <TextField
      id={`field-${name}`}
      name={name}
      defaultValue={refused?.values[name] ?? defaultValue ?? ""}
      error={sentence !== undefined}
      helperText={sentence ?? helper}
      {...rest}
    />
  );
}
