import { memo, useMemo } from "react";
import { stepsFrom } from "~/components/rung-lane";
import { Staircase, type Step } from "~/components/staircase";
import { SCHOOL_NAMES, type SchoolName } from "~/core/ladder";
import { words } from "~/words";
import { samplePath } from "./sample-path";
import styles from "./school-chooser.module.css";

interface SchoolChooserProps {
  readonly chosen: SchoolName;
  readonly onChoose: (name: SchoolName) => void;
}

const MOST_DRAWN = 60;

const drawing = (name: SchoolName): Step[] => stepsFrom(samplePath(name).slice(0, MOST_DRAWN));

/** Every school by the shape of its path from 60 to 100 bpm over four bars. */
export const SchoolChooser = memo(function SchoolChooser({ chosen, onChoose }: SchoolChooserProps) {
  const drawings = useMemo(() => SCHOOL_NAMES.map((name) => ({ name, steps: drawing(name) })), []);
  return (
    <div className={styles.schools} role="radiogroup" aria-label={words.ladder.school}>
      {drawings.map(({ name, steps }, i) => (
        <button
          key={name}
          type="button"
          role="radio"
          aria-checked={name === chosen}
          tabIndex={name === chosen ? 0 : -1}
          className={`${styles.school} ${name === chosen ? styles.chosen : ""}`}
          title={words.ladder.schools[name].goodFor}
          onClick={() => onChoose(name)}
          onKeyDown={(event) => {
            const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
            if (!by) return;
            event.preventDefault();
            const next = SCHOOL_NAMES.at((i + by) % SCHOOL_NAMES.length)!;
            onChoose(next);
            const buttons = event.currentTarget.parentElement?.querySelectorAll("button");
            buttons?.[SCHOOL_NAMES.indexOf(next)]?.focus();
          }}
        >
          <Staircase steps={steps} target={100} height={60} small />
          <span>{words.ladder.schools[name].label}</span>
        </button>
      ))}
    </div>
  );
});
