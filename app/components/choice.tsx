import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly T[];
  readonly told: (option: T) => string;
  readonly onChange: (value: T) => void;
  readonly error?: string | undefined;
}

/** One of a few, by name. */
export function Choice<T extends string>(props: ChoiceProps<T>) {
  const { label, value, options, told, onChange, error } = props;
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      error={error !== undefined}
      helperText={error}
      // The empty one may be a choice as well: all of them, or none.
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      onChange={({ target }) => onChange(target.value as T)}
    >
      {options.map((option) => (
        <MenuItem key={option} value={option}>
          {told(option)}
        </MenuItem>
      ))}
    </TextField>
  );
}
