import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { formatKey, parseKeys, type Key } from "~/core/units";
import { rotation, ROTATIONS, type Rotation } from "~/core/week";
import { planWords } from "~/words/plan";
import styles from "./lesson.module.css";

const { lesson } = planWords;
const C: Key = { letter: "C", accidental: 0, mode: "major" };

interface KeysFieldProps {
  readonly keys: readonly Key[];
  readonly onChange: (keys: Key[]) => void;
}

/** A key for each week, typed as musicians type it, or a row that begins with the first one. */
export function KeysField({ keys, onChange }: KeysFieldProps) {
  const [typed, setTyped] = useState(keys.map(formatKey).join(", "));
  const { unread } = parseKeys(typed);
  const take = (text: string) => {
    setTyped(text);
    onChange(parseKeys(text).keys);
  };
  const go = (kind: Rotation) => {
    const row = rotation(keys[0] ?? C, kind);
    setTyped(row.map(formatKey).join(", "));
    onChange(row);
  };
  return (
    <>
      <TextField
        size="small"
        label={lesson.keys}
        value={typed}
        error={unread.length > 0}
        helperText={unread.length > 0 ? lesson.noKey(unread.join(", ")) : lesson.keysHelp}
        onChange={({ target }) => take(target.value)}
      />
      <TextField
        select
        size="small"
        label={lesson.round}
        value=""
        className={styles.round!}
        onChange={({ target }) => go(target.value as Rotation)}
      >
        {ROTATIONS.map((kind) => (
          <MenuItem key={kind} value={kind}>
            {lesson.rotations[kind](formatKey(keys[0] ?? C))}
          </MenuItem>
        ))}
      </TextField>
    </>
  );
}
