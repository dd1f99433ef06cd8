import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { Link } from "react-router";
import { useFormats } from "~/components/locale";
import type { Decision, ReviewedItem, TakeAsked } from "~/core/week";
import { takeTold } from "~/features/my-week/take-told";
import { oftenTold } from "~/features/my-week/often-told";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import styles from "./lesson.module.css";

const { lesson } = planWords;

interface ReviewRowProps {
  readonly item: ReviewedItem;
  /** The take that it asked for. */
  readonly take: TakeAsked | undefined;
  /** Where takes are heard. */
  readonly takes: string;
  readonly decision: Decision;
  readonly onDecide: (decision: Decision) => void;
}

const CHOICES = ["finished", "carried", "changed"] as const;

/** One item: what was asked beside what happened, and what becomes of it. */
export function ReviewRow({ item, take, takes, decision, onDecide }: ReviewRowProps) {
  const formats = useFormats();
  const facts = [
    item.tempo && lesson.tempo(item.tempo),
    item.clean && item.clean.plays > 0 && lesson.clean(item.clean.clean, item.clean.plays),
    item.even !== undefined && words.evenness(item.even),
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
        <span className={item.days + item.doneOn === 0 ? styles.missed : styles.happened}>
          {words.capital(lesson.happened(item))}
        </span>
        <span className={styles.soft}>{facts.join(" · ")}</span>
        {take && (
          <span className={take.state === "missing" ? styles.missed : styles.take}>
            {take.takeId ? (
              <Link to={`${takes}/${take.takeId}`}>{takeTold(take, formats.shortDay)}</Link>
            ) : (
              takeTold(take, formats.shortDay)
            )}
          </span>
        )}
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
