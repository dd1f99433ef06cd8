import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { BLOCK_KINDS, type BlockKind } from "~/core/session";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import styles from "./today.module.css";

const { today } = planWords;
/** What somebody can put in by themselves: everything but a break and what lives by a ladder. */
const KINDS = BLOCK_KINDS.filter((kind) => kind !== "break" && kind !== "hard" && kind !== "join");

interface AddPartProps {
  readonly label: string;
  readonly onAdd: (kind: BlockKind, text: string) => void;
}

/** A part of one's own: what kind it is, and what to do. */
export function AddPart({ label, onAdd }: AddPartProps) {
  const [kind, setKind] = useState<BlockKind>("enjoyed");
  const [text, setText] = useState("");
  const add = () => {
    if (!text.trim()) return;
    onAdd(kind, text.trim());
    setText("");
  };
  return (
    <div className={styles.add}>
      <TextField
        select
        size="small"
        label={today.kindOfPart}
        value={kind}
        fullWidth={false}
        sx={{ width: 190 }}
        onChange={({ target }) => setKind(target.value as BlockKind)}
      >
        {KINDS.map((each) => (
          <MenuItem key={each} value={each}>
            {words.block[each].name}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        size="small"
        label={today.ownText}
        value={text}
        fullWidth={false}
        sx={{ width: 320 }}
        slotProps={{ htmlInput: { maxLength: 120 } }}
        onChange={({ target }) => setText(target.value)}
        onKeyDown={(event) => event.key === "Enter" && add()}
      />
      <Button variant="outlined" onClick={add}>
        {label}
      </Button>
    </div>
  );
}
