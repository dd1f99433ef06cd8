import { Care } from "~/components/care";
import { Press } from "~/components/press";
import { words } from "~/words/stand-words";
import { Sheet } from "./sheet";
import styles from "./sheets.module.css";

interface HelpSheetProps {
  readonly open: boolean;
  /** Whether single letters are keys. */
  readonly letters: boolean;
  readonly onLetters: (letters: boolean) => void;
  readonly onClose: () => void;
}

export function HelpSheet({ open, letters, onLetters, onClose }: HelpSheetProps) {
  return (
    <Sheet
      open={open}
      title={words.stand.helpTitle}
      onClose={onClose}
      actions={
        <>
          <Press onClick={onClose} kind="filled" data-first>
            {words.stand.close}
          </Press>
        </>
      }
    >
      <dl className={styles.keys}>
        {words.stand.keys.map(([key, what]) => (
          <div key={key}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
      <label className={styles.choice}>
        <input
          type="checkbox"
          checked={letters}
          onChange={(event) => onLetters(event.target.checked)}
        />
        {words.stand.letters}
      </label>
      <p>{words.stand.pedals}</p>
      <Care />
    </Sheet>
  );
}
