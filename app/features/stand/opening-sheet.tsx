import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import type { SessionPlan } from "~/core/session";
import { words } from "~/words/stand-words";
import styles from "./sheets.module.css";

interface OpeningSheetProps {
  readonly open: boolean;
  readonly opening: NonNullable<SessionPlan["opening"]>;
  readonly onClose: () => void;
}

const TITLE = "opening-title";

/** The first practice after a lesson: what the teacher said, and what the week asks. */
export function OpeningSheet({ open, opening, onClose }: OpeningSheetProps) {
  return (
    <Dialog open={open} onClose={onClose} aria-labelledby={TITLE} maxWidth="sm" fullWidth>
      <DialogTitle id={TITLE}>{words.stand.openingTitle}</DialogTitle>
      <DialogContent>
        {opening.word && <p className={styles.word}>{opening.word}</p>}
        <ul className={styles.asks}>
          {opening.asks.map((each, i) => (
            <li key={i}>{each}</li>
          ))}
        </ul>
      </DialogContent>
      <DialogActions>
        <Button variant="contained" size="large" autoFocus onClick={onClose}>
          {words.stand.openingBegin}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
