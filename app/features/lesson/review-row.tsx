import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { Decision, ReviewedItem } from "~/core/week";
import { oftenTold } from "~/features/plan/often-told";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import styles from "./lesson.module.css";

const { lesson } = planWords;

interface ReviewRowProps {
  readonly item: ReviewedItem;
  readonly decision: Decision;
  readonly onDecide: (decision: Decision) => void;
}

const CHOICES = ["finished", "carried", "changed"] as const;

/** One item: what was asked beside what happened, and what becomes of it. */
export function ReviewRow({ item, decision, onDecide }: ReviewRowProps) {
  const facts = [
    item.tempo && lesson.tempo(item.tempo.from, item.tempo.to),
    item.clean && item.clean.plays > 0 && lesson.clean(item.clean.clean, item.clean.plays),
    item.flawedBars.length > 0 && lesson.flaws(item.flawedBars),
  ].filter((fact): fact is string => Boolean(fact));
  return (
    <li className={styles.review}>
      <div>
        <strong>{item.title}</strong>
        <span className={styles.soft}>
          {lesson.asked(oftenTold(item.often), item.minutes, item.goalTempo)}
        </span>
      </div>
      <div>
        <span className={item.days === 0 ? styles.missed : styles.happened}>
          {words.capital(lesson.happened(item.days, item.done))}
        </span>
        <span className={styles.soft}>{facts.join(" · ")}</span>
      </div>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={decision}
        aria-label={lesson.decide(item.title)}
        onChange={(_, chosen: Decision | null) => chosen && onDecide(chosen)}
      >
        {CHOICES.map((choice) => (
          <ToggleButton
            key={choice}
            value={choice}
            disabled={choice !== "finished" && item.next === undefined}
          >
            {planWords.item.decision[choice]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </li>
  );
}
