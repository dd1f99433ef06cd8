import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { useState } from "react";
import { words } from "~/words/stand-words";
import styles from "./sheets.module.css";

interface NoteSheetProps {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly onKeep: (text: string) => void;
  /** It is a question for the lesson. */
  readonly onAsk: (text: string) => void;
}

const LONGEST_NOTE = 500;
const TITLE = "note-title";

export function NoteSheet({ open, onClose, onKeep, onAsk }: NoteSheetProps) {
  const [text, setText] = useState("");
  const done = (act: (text: string) => void) => {
    if (text.trim()) act(text.trim());
    setText("");
    onClose();
  };
  return (
    <Dialog open={open} onClose={onClose} aria-labelledby={TITLE} maxWidth="sm" fullWidth>
      <DialogTitle id={TITLE}>{words.stand.noteTitle}</DialogTitle>
      <DialogContent>
        <form
          id="note"
          className={styles.note}
          onSubmit={(event) => {
            event.preventDefault();
            done(onKeep);
          }}
        >
          {/* A plain field: the stand need not carry the weight of a larger one. */}
          <label className={styles.line}>
            {words.stand.noteLabel}
            <input
              value={text}
              onChange={(event) => setText(event.target.value)}
              maxLength={LONGEST_NOTE}
              autoFocus
            />
          </label>
        </form>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose} color="inherit">
          {words.cancel}
        </Button>
        <Button variant="outlined" onClick={() => done(onAsk)}>
          {words.stand.askIt}
        </Button>
        <Button type="submit" form="note" variant="contained">
          {words.stand.noteSave}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
