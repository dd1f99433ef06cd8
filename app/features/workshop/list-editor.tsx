import Button from "@mui/material/Button";
import FormHelperText from "@mui/material/FormHelperText";
import IconButton from "@mui/material/IconButton";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { ArrowDown, ArrowUp, X } from "lucide-react";
import { FAMILIES, type ListField, type ListItem } from "~/core/ladder";
import { words } from "~/words";
import styles from "./workshop.module.css";

interface ListEditorProps {
  readonly field: ListField;
  readonly label: string;
  readonly items: readonly ListItem[];
  /** By dotted path below the list: "0.name". */
  readonly errorAt: (path: string) => string | undefined;
  readonly error: string | undefined;
  readonly onChange: (items: readonly ListItem[]) => void;
}

const { list, noteValues, withdrawals } = words.ladder;

/** A list that belongs to the teacher: presets by family, lines that move, come and go. */
export function ListEditor(props: ListEditorProps) {
  const { field, label, items, errorAt, error, onChange } = props;
  const told = (name: string) => noteValues[name] ?? withdrawals[name] ?? name;
  const set = (at: number, change: Partial<ListItem>) =>
    onChange(items.map((item, i) => (i === at ? { ...item, ...change } : item)));
  const swap = (at: number, by: number) =>
    onChange(items.with(at, items[at + by]!).with(at + by, items[at]!));
  return (
    <fieldset className={styles.list}>
      <legend>{label}</legend>
      <TextField
        select
        size="small"
        label={list.preset}
        value=""
        onChange={({ target }) => onChange(field.presets[target.value as "free"])}
      >
        {FAMILIES.map((family) => (
          <MenuItem key={family} value={family}>
            {words.ladder.families[family]}
          </MenuItem>
        ))}
      </TextField>
      <ol className={field.tempi ? styles.withTempi! : undefined}>
        {items.map(({ name, clean, tempo = 0 }, i) => (
          <li key={i}>
            <TextField
              size="small"
              variant="standard"
              value={name}
              error={errorAt(`${i}.name`) !== undefined}
              helperText={errorAt(`${i}.name`)}
              {...(field.options ? { select: true } : {})}
              slotProps={{ htmlInput: { "aria-label": list.item(i + 1), maxLength: 60 } }}
              onChange={({ target }) => set(i, { name: target.value })}
            >
              {field.options?.map((option) => (
                <MenuItem key={option} value={option}>
                  {told(option)}
                </MenuItem>
              ))}
            </TextField>
            <NumberCell
              label={list.clean(i + 1)}
              value={clean}
              max={20}
              error={errorAt(`${i}.clean`)}
              onChange={(next) => set(i, { clean: next })}
            />
            {field.tempi && (
              <NumberCell
                label={list.tempo(i + 1)}
                value={tempo}
                max={400}
                error={errorAt(`${i}.tempo`)}
                onChange={(next) => set(i, { tempo: next })}
              />
            )}
            <IconButton
              size="small"
              aria-label={list.up(i + 1)}
              disabled={i === 0}
              onClick={() => swap(i, -1)}
            >
              <ArrowUp size={16} />
            </IconButton>
            <IconButton
              size="small"
              aria-label={list.down(i + 1)}
              disabled={i === items.length - 1}
              onClick={() => swap(i, 1)}
            >
              <ArrowDown size={16} />
            </IconButton>
            <IconButton
              size="small"
              aria-label={list.remove(i + 1)}
              onClick={() => onChange(items.filter((_, at) => at !== i))}
            >
              <X size={16} />
            </IconButton>
          </li>
        ))}
      </ol>
      <FormHelperText error={error !== undefined}>
        {error ?? (field.tempi ? list.ownTempo : list.ownGate)}
      </FormHelperText>
      <Button
        size="small"
        onClick={() => onChange([...items, { name: field.options?.[0] ?? "", clean: 0 }])}
      >
        {list.add}
      </Button>
    </fieldset>
  );
}

/** A small number in a line; NaN while it is empty. */
function NumberCell(props: {
  label: string;
  value: number;
  max: number;
  error: string | undefined;
  onChange: (value: number) => void;
}) {
  const { label, value, max, error, onChange } = props;
  return (
    <TextField
      size="small"
      variant="standard"
      type="number"
      className={styles.ownGate!}
      value={Number.isNaN(value) ? "" : value}
      error={error !== undefined}
      helperText={error}
      slotProps={{ htmlInput: { "aria-label": label, min: 0, max } }}
      onChange={({ target }) => onChange(target.value === "" ? NaN : Number(target.value))}
    />
  );
}
