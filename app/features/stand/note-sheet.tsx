import { useState } from "react";
import { Press } from "~/components/press";
import { words } from "~/words/stand-words";
import { Sheet } from "./sheet";
import styles from "./sheets.module.css";

interface NoteSheetProps {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly onKeep: (text: string) => void;
  /** It is a question for the lesson. */
  readonly onAsk: (text: string) => void;
}

const LONGEST_NOTE = 500;
export function NoteSheet({ open, onClose, onKeep, onAsk }: NoteSheetProps) {
  const [text, setText] = useState("");
  const done = (act: (text: string) => void) => {
    if (text.trim()) act(text.trim());
    setText("");
    onClose();
  };
  return (
    <Sheet
      open={open}
      title={words.stand.noteTitle}
      onClose={onClose}
      actions={
        <>
          <Press onClick={onClose}>{words.cancel}</Press>
          <Press kind="outlined" onClick={() => done(onAsk)}>
            {words.stand.askIt}
          </Press>
          <Press type="submit" form="note" kind="filled">
            {words.stand.noteSave}
          </Press>
        </>
      }
    >
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
            data-first
          />
        </label>
      </form>
    </Sheet>
  );
}
