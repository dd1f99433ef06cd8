import Button from "@mui/material/Button";
import { Link } from "react-router";
import { useFormats } from "~/components/locale";
import { Empty, Page } from "~/components/page";
import { daysBetween, type Day } from "~/core/units";
import type { Look } from "~/core/judge";
import { words } from "~/words";
import { LookNote } from "./look-note";
import { WeekBars } from "./week-bars";
import styles from "./week-board.module.css";

interface Line {
  readonly id: string;
  readonly name: string;
  readonly instrument: string;
  readonly minutes: readonly number[];
  readonly last: { readonly day: Day; readonly what: readonly string[] } | undefined;
  readonly looks: readonly Look[];
}

export interface WeekBoardProps {
  readonly studioId: string;
  readonly today: Day;
  readonly days: readonly Day[];
  readonly lines: readonly Line[];
  readonly concert: { readonly name: string; readonly day: Day } | undefined;
}

/** Each student a line: seven days of minutes, what was played last, what needs a look. */
export function WeekBoard({ studioId, today, days, lines, concert }: WeekBoardProps) {
  const formats = useFormats();
  const inOrder = [...lines].sort((a, b) => b.looks.length - a.looks.length);
  const most = Math.max(30, ...lines.flatMap(({ minutes }) => minutes));
  const add = (
    <Button component={Link} to={`/studio/${studioId}/students/new`} variant="outlined">
      {words.week.add}
    </Button>
  );
  return (
    <Page
      title={words.week.title}
      lead={
        concert
          ? words.week.concert(
              concert.name,
              daysBetween(today, concert.day),
              formats.longDay(concert.day),
            )
          : words.week.lead
      }
      actions={add}
    >
      {lines.length === 0 ? (
        <Empty action={add}>{words.week.empty}</Empty>
      ) : (
        <div className={styles.board}>
          <div className={styles.head} aria-hidden>
            <span />
            <span className={styles.days}>
              {days.map((day) => (
                <span key={day} className={day === today ? styles.today : ""}>
                  {formats.weekday(day)}
                </span>
              ))}
            </span>
            <span>{words.week.total}</span>
            <span>{words.week.lastPlayed}</span>
          </div>
          <ul className={styles.lines}>
            {inOrder.map((line) => (
              <li key={line.id} className={styles.line}>
                <div>
                  <Link className={styles.name} to={`/studio/${studioId}/students/${line.id}`}>
                    {line.name}
                  </Link>
                  <span className={styles.instrument}>{line.instrument}</span>
                </div>
                <WeekBars days={days} minutes={line.minutes} most={most} />
                <span className={styles.total}>
                  {words.minutes(line.minutes.reduce((sum, m) => sum + m, 0))}
                </span>
                <div>
                  {line.last ? (
                    <span>
                      {words.capital(words.ago(daysBetween(line.last.day, today)))}:{" "}
                      {line.last.what.join(", ")}
                    </span>
                  ) : (
                    <span className={styles.soft}>{words.week.never}</span>
                  )}
                  {line.looks.map((look, i) => (
                    <LookNote key={i} look={look} today={today} />
                  ))}
                </div>
              </li>
            ))}
          </ul>
        </div>
      )}
    </Page>
  );
}
