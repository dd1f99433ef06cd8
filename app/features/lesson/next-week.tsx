import Button from "@mui/material/Button";
import { Link } from "react-router";
import { Empty } from "~/components/page";
import { WeekGrid } from "~/features/plan/week-grid";
import type { Fix } from "~/core/week";
import type { Day } from "~/core/units";
import { planWords } from "~/words/plan";
import type { Lesson } from "./use-lesson";
import styles from "./lesson.module.css";

const { lesson } = planWords;

interface NextWeekProps {
  readonly it: Lesson;
  readonly home: string;
  readonly today: Day;
  readonly timesSaid: boolean;
  readonly weak: boolean;
}

/** How next week will look, its goal, and what to do when it asks too much. */
export function NextWeek({ it, home, today, timesSaid, weak }: NextWeekProps) {
  const { preview } = it;
  const { asked } = preview;
  const asksTooMuch = preview.notes.some(({ kind }) => kind === "too-much" || kind === "falls-out");
  const fix = (label: string, by: Fix) => (
    <Button variant="outlined" onClick={() => it.fix(by)}>
      {label}
    </Button>
  );
  return (
    <>
      {!timesSaid && (
        <Empty
          action={
            <Button component={Link} to={`${home}/times`} variant="outlined">
              {lesson.sayTimes}
            </Button>
          }
        >
          {lesson.noTimes}
        </Empty>
      )}
      {it.items.length === 0 ? (
        <p className={styles.soft}>{lesson.previewEmpty}</p>
      ) : (
        <>
          <p className={styles.goalLine}>
            <strong>{lesson.goalIs(asked.minutes, asked.days)}</strong>
            {weak && <> {lesson.smallerOnPurpose}</>}
          </p>
          <WeekGrid week={preview} today={today} preview />
          {asksTooMuch && (
            <div className={styles.fixes}>
              {fix(lesson.fewerTimes, "fewer-times")}
              {fix(lesson.fewerMinutes, "fewer-minutes")}
              <Button component={Link} to={`${home}/times`} variant="outlined">
                {lesson.anotherDay}
              </Button>
            </div>
          )}
        </>
      )}
    </>
  );
}
