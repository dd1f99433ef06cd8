import Button from "@mui/material/Button";
import { words } from "~/words";
import type { LadderDraft } from "./draft";
import styles from "./workshop.module.css";

interface PartNoteProps {
  readonly draft: LadderDraft;
  /** The bars for which the drawn ladder is; the whole passage without. */
  readonly part: LadderDraft["part"];
  /** The first ladder as it was offered, where this is a new one. */
  readonly offered: LadderDraft | undefined;
  /** The tempo of the passage. */
  readonly full: number;
  readonly onChange: (change: Partial<LadderDraft>) => void;
}

const { workshop } = words;

/** For which bars and up to where a ladder is, where that is less than all; and why it was offered so. */
export function PartNote({ draft, part, offered, full, onChange }: PartNoteProps) {
  const { minutes, target, of } = draft;
  // Another number of minutes may well be enough.
  const holds = offered?.minutes === minutes;
  const lower = holds && target === offered.target && target < Math.round(of ?? full);
  const asOffered = holds && offered.part && part?.toBar === offered.part.toBar;
  if (!part && !lower) return null;
  return (
    <p className={styles.part}>
      {lower && `${workshop.targetOffered(words.staircase.tempo(target, of), minutes)} `}
      {part && (
        <>
          {(asOffered ? workshop.partOffered : workshop.part)(
            words.bars(part.fromBar, part.toBar),
            minutes,
          )}{" "}
          <Button size="small" onClick={() => onChange({ part: null })}>
            {workshop.wholePassage}
          </Button>
        </>
      )}
    </p>
  );
}
