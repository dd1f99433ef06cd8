import { Link } from "react-router";
import { useFormats } from "~/components/locale";
import { daysBetween, type Day } from "~/core/units";
import { MoveLesson } from "~/features/my-week/move-lesson";
import { words } from "~/words";
import { changeWords } from "~/words/change-week";
import type { Line } from "./board-order";
import { LookNote } from "./look-note";
import { WeekBars } from "./week-bars";
import styles from "./board.module.css";

interface BoardLineProps {
  readonly line: Line;
  readonly studioId: string;
  readonly today: Day;
  readonly most: number;
}

/** A student: the week drawn, what it came to, what was played last, what needs a look. */
export function BoardLine({ line, studioId, today, most }: BoardLineProps) {
  const formats = useFormats();
  const here = `/studio/${studioId}/students/${line.id}`;
  const when = line.inGroup
    ? undefined
    : line.until === undefined
      ? words.week.noWeek
      : line.until === today
        ? undefined
        : line.until < today
          ? words.week.lessonDue(formats.shortDay(line.until))
          : words.week.nextLesson(formats.weekday(line.until));
  const moves = line.canMove && !line.inGroup;
  return (
    <li className={`${styles.line} ${line.lessonToday === undefined ? "" : styles.lesson}`}>
      <div>
        <Link className={styles.name} to={here}>
          {line.name}
        </Link>
        <span className={styles.instrument}>
          {[line.instrument, moves ? undefined : when].filter(Boolean).join(" · ")}
        </span>
        {line.lessonToday !== undefined && (
          <Link className={styles.lessonLink} to={`${here}/lesson`}>
            {words.week.lessonToday(line.lessonToday).replace(/, $/, "")} →
          </Link>
        )}
        {moves && line.until !== undefined && (
          <MoveLesson
            small
            home={here}
            today={today}
            lesson={line.until}
            label={when ?? changeWords.moveLesson}
          />
        )}
      </div>
      <WeekBars days={line.days} today={today} most={most} />
      <span className={styles.total}>
        {words.week.done(line.days.reduce((sum, { played }) => sum + played, 0))}
        {line.goal !== undefined && (
          <span className={styles.soft}>{words.week.asked(line.goal)}</span>
        )}
      </span>
      <div>
        {line.last ? (
          <span>
            {words.capital(words.ago(daysBetween(line.last.day, today)))}:{" "}
            {words.week.lastDone(line.last)}
          </span>
        ) : (
          !line.looks.some(({ kind }) => kind === "nothing-yet") && (
            <span className={styles.soft}>{words.week.never}</span>
          )
        )}
        {line.looks.map((look, i) => (
          <LookNote key={i} look={look} today={today} />
        ))}
      </div>
    </li>
  );
}
