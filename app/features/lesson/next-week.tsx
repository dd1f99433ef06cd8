import Button from "@mui/material/Button";
import { Link } from "react-router";
import { Empty } from "~/components/page";
import { WeekGrid } from "~/features/my-week/week-grid";
import type { AssignmentItem, StudentWeek } from "~/core/week";
import type { Day } from "~/core/units";
import { planWords } from "~/words/plan";
import { Fixes } from "./fixes";
import type { Items } from "./use-items";
import styles from "./lesson.module.css";

const { lesson } = planWords;

interface NextWeekProps {
  readonly it: Items;
  readonly week: StudentWeek;
  /** The same week with other items. */
  readonly preview: (items: readonly AssignmentItem[]) => StudentWeek;
  readonly raw: readonly string[];
  readonly home: string;
  readonly today: Day;
  readonly timesSaid: boolean;
  /** Why it is smaller on purpose. */
  readonly smaller?: "weak" | "hurt" | undefined;
}

/** How a week will look, what it asks, and what to do when that is too much. */
export function NextWeek({
  it,
  week,
  preview,
  raw,
  home,
  today,
  timesSaid,
  smaller,
}: NextWeekProps) {
  const { asked } = week;
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
          {/* A week that doesn't fit tells both numbers below. */}
          {!week.notes.some(({ kind }) => kind === "too-much") && (
            <p className={styles.goalLine}>
              <strong>{lesson.goalIs(asked.minutes, asked.days)}</strong>
              {smaller && <> {lesson.smaller[smaller]}</>}
            </p>
          )}
          <WeekGrid week={week} today={today} preview />
          <Fixes it={it} preview={preview} raw={raw} home={home} />
        </>
      )}
    </>
  );
}
