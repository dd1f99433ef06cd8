import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { Care } from "~/components/care";
import { words } from "~/words/stand-words";
import styles from "./sheets.module.css";

const TITLE = "keys-title";

interface HelpSheetProps {
  readonly open: boolean;
  /** Whether single letters are keys. */
  readonly letters: boolean;
  readonly onLetters: (letters: boolean) => void;
  readonly onClose: () => void;
}

export function HelpSheet({ open, letters, onLetters, onClose }: HelpSheetProps) {
  return (
    <Dialog open={open} onClose={onClose} aria-labelledby={TITLE} maxWidth="sm" fullWidth>
      <DialogTitle id={TITLE}>{words.stand.helpTitle}</DialogTitle>
      <DialogContent>
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
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose} variant="contained" autoFocus>
          {words.stand.close}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
