import type { Asked, NestedGoals } from "~/core/week";
import { planWords } from "~/words/plan";
import styles from "./week-page.module.css";

const { week: said } = planWords;

interface GoalBarsProps {
  readonly goals: NestedGoals;
  readonly goal: Asked;
  readonly played: { readonly minutes: number; readonly days: number };
}

/** This week's goal as far as it has come, and what it means for a day, a month, the concert. */
export function GoalBars({ goals, goal, played }: GoalBarsProps) {
  const { minutes } = played;
  const share = goal.minutes > 0 ? Math.min(1, minutes / goal.minutes) : 0;
  const others = [
    [said.goal.day, goals.day],
    [said.goal.month, goals.month],
    [said.goal.concert, goals.concert],
  ] as const;
  return (
    <div className={styles.goals}>
      <p>
        <strong>{said.goal.week}</strong>{" "}
        {said.reached(minutes, goal.minutes, played.days, goal.days)}
      </p>
      <span className={styles.bar} aria-hidden>
        <span style={{ width: `${share * 100}%` }} />
      </span>
      <dl>
        {others.map(([name, value]) =>
          value === undefined ? null : (
            <div key={name}>
              <dt>{name}</dt>
              <dd>{planWords.minutes(value)}</dd>
            </div>
          ),
        )}
      </dl>
    </div>
  );
}
