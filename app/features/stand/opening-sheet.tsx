import { Press } from "~/components/press";
import type { SessionPlan } from "~/core/session";
import { words } from "~/words/stand-words";
import { Sheet } from "./sheet";
import styles from "./sheets.module.css";

interface OpeningSheetProps {
  readonly open: boolean;
  readonly opening: NonNullable<SessionPlan["opening"]>;
  readonly onClose: () => void;
}

/** The first practice after a lesson: what the teacher said, and what the week asks. */
export function OpeningSheet({ open, opening, onClose }: OpeningSheetProps) {
  return (
    <Sheet
      open={open}
      title={words.stand.openingTitle}
      onClose={onClose}
      actions={
        <>
          <Press kind="filled" size="large" data-first data-onward onClick={onClose}>
            {words.stand.openingBegin}
          </Press>
        </>
      }
    >
      {opening.word && <p className={styles.word}>{opening.word}</p>}
      <ul className={styles.asks}>
        {opening.asks.map((each, i) => (
          <li key={i}>{each}</li>
        ))}
      </ul>
    </Sheet>
  );
}
