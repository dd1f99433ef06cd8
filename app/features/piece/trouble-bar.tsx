import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { ReactNode } from "react";
import { StateMark } from "~/components/state-mark";
import { PASSAGE_STATES } from "~/core/score";
import { words } from "~/words";
import { notationWords } from "~/words/notation";
import type { Brush, Trouble } from "./use-trouble";
import styles from "./trouble.module.css";

/** Begins and ends the reading; while it goes on, what the bars that are touched get. */
export function TroubleBar({ trouble, aside }: { trouble: Trouble; aside: ReactNode }) {
  const { marking, setMarking, brush, setBrush } = trouble;
  if (!marking) {
    return (
      <p className={styles.begin}>
        <Button variant="outlined" size="small" onClick={() => setMarking(true)}>
          {notationWords.readOnce}
        </Button>
        {aside}
      </p>
    );
  }
  return (
    <div
      className={`${styles.reading} sticks-above`}
      role="group"
      aria-label={notationWords.readOnce}
    >
      <p>{notationWords.readOnceHow}</p>
      <ToggleButtonGroup
        exclusive
        value={brush}
        aria-label={notationWords.brush}
        onChange={(_, next: Brush | null) => next && setBrush(next)}
      >
        {PASSAGE_STATES.map((state) => (
          <ToggleButton key={state} value={state} className={styles.brush!}>
            <StateMark state={state} bare />
            {words.barMark[state]}
          </ToggleButton>
        ))}
        <ToggleButton value="none">{notationWords.noMark}</ToggleButton>
      </ToggleButtonGroup>
      <Button variant="contained" onClick={() => setMarking(false)}>
        {notationWords.readDone}
      </Button>
    </div>
  );
}
