import Button from "@mui/material/Button";
import { useFormats } from "~/components/locale";
import type { Feeling } from "~/core/session";
import type { Day } from "~/core/units";
import { planWords } from "~/words/plan";
import styles from "./today.module.css";

interface HurtQuestionProps {
  /** The day on which something hurt; undefined when the player says so now. */
  readonly since: Day | undefined;
  readonly feeling: Feeling | undefined;
  readonly onSay: (feeling: Feeling) => void;
}

const { today } = planWords;

/** After a stop for pain the day opens with a question, and nothing is played before its answer. */
export function HurtQuestion({ since, feeling, onSay }: HurtQuestionProps) {
  const formats = useFormats();
  if (feeling === "painful") {
    return (
      <div className={styles.hurts} role="alert">
        <p>{today.hurts}</p>
        <Button variant="outlined" onClick={() => onSay("fine")}>
          {today.nothingHurts}
        </Button>
      </div>
    );
  }
  if (!since) return null;
  if (feeling === undefined) {
    return (
      <div className={styles.hurts} role="group" aria-labelledby="hurt-question">
        <p id="hurt-question">{today.hurtQuestion(formats.longDay(since))}</p>
        <div className={styles.answers}>
          <Button variant="contained" onClick={() => onSay("fine")}>
            {today.nothingHurts}
          </Button>
          <Button variant="outlined" onClick={() => onSay("painful")}>
            {today.stillHurts}
          </Button>
        </div>
      </div>
    );
  }
  return <p className={styles.easy}>{today.easyAgain}</p>;
}
