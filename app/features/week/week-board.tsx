import Button from "@mui/material/Button";
import FormControlLabel from "@mui/material/FormControlLabel";
import Switch from "@mui/material/Switch";
import TextField from "@mui/material/TextField";
import { lazy, Suspense, useState } from "react";
import { Link } from "react-router";
import type { Refused } from "~/components/field";
import { useFormats } from "~/components/locale";
import { Empty, Page } from "~/components/page";
import type { Look } from "~/core/judge";
import { daysBetween, type Day } from "~/core/units";
import { words } from "~/words";
import type { ConcertFormProps } from "./concert-form";
import { LookNote } from "./look-note";
import { WeekBars, type LineDay } from "./week-bars";
import styles from "./week-board.module.css";

interface Line {
  readonly id: string;
  readonly name: string;
  readonly instrument: string;
  readonly days: readonly LineDay[];
  readonly goal: number | undefined;
  readonly until: Day | undefined;
  readonly lessonToday: string | undefined;
  readonly last: { readonly day: Day; readonly what: readonly string[] } | undefined;
  readonly looks: readonly Look[];
}

export interface WeekBoardProps {
  readonly studioId: string;
  readonly today: Day;
  readonly lines: readonly Line[];
  readonly concert: { readonly name: string; readonly day: Day } | undefined;
  readonly refused: Refused | undefined;
}

/** With more students than this the board can be searched. */
const MANY = 8;

/** Today's lessons by the clock, then whoever needs a look most, then by name. */
const first = (a: Line, b: Line): number =>
  Number(b.lessonToday !== undefined) - Number(a.lessonToday !== undefined) ||
  (a.lessonToday ?? "").localeCompare(b.lessonToday ?? "") ||
  b.looks.length - a.looks.length;

/** Each student a line from the last lesson to the next. */
export function WeekBoard({ studioId, today, lines, concert, refused }: WeekBoardProps) {
  const formats = useFormats();
  const [find, setFind] = useState("");
  const [only, setOnly] = useState(false);
  const most = Math.max(
    30,
    ...lines.flatMap(({ days }) => days.map((d) => Math.max(d.played, d.asked))),
  );
  const shown = lines
    .filter(({ name }) => name.toLowerCase().includes(find.trim().toLowerCase()))
    .filter(({ looks, lessonToday }) => !only || looks.length > 0 || lessonToday !== undefined)
    .toSorted(first);
  const add = (
    <>
      <Button component={Link} to={`/studio/${studioId}/students/many`} variant="text">
        {words.many.title}
      </Button>
      <Button component={Link} to={`/studio/${studioId}/students/new`} variant="outlined">
        {words.week.add}
      </Button>
    </>
  );
  return (
    <Page
      title={words.week.title}
      lead={
        <>
          {concert &&
            words.week.concert(
              concert.name,
              daysBetween(today, concert.day),
              formats.longDay(concert.day),
            )}{" "}
          {words.week.lead}
        </>
      }
      actions={add}
    >
      {lines.length > MANY && (
        <div className={styles.tools}>
          <TextField
            size="small"
            type="search"
            label={words.week.find}
            value={find}
            fullWidth={false}
            onChange={({ target }) => setFind(target.value)}
          />
          <FormControlLabel
            control={<Switch checked={only} onChange={(_, on) => setOnly(on)} />}
            label={words.week.only}
          />
        </div>
      )}
      {lines.length === 0 ? (
        <Empty action={add}>{words.week.empty}</Empty>
      ) : (
        <div className={styles.board}>
          <div className={styles.head}>
            <span />
            <span>{words.week.planned}</span>
            <span aria-hidden>{words.week.total}</span>
            <span aria-hidden>{words.week.lastPlayed}</span>
          </div>
          <ul className={styles.lines}>
            {shown.map((line) => (
              <BoardLine key={line.id} line={line} studioId={studioId} today={today} most={most} />
            ))}
          </ul>
          {shown.length === 0 && <p className={styles.soft}>{words.week.none}</p>}
        </div>
      )}
      <Concert concert={concert} today={today} refused={refused} />
      <p>
        <Link to="/password">{words.week.password}</Link>
      </p>
    </Page>
  );
}

interface BoardLineProps {
  readonly line: Line;
  readonly studioId: string;
  readonly today: Day;
  readonly most: number;
}

function BoardLine({ line, studioId, today, most }: BoardLineProps) {
  const formats = useFormats();
  const here = `/studio/${studioId}/students/${line.id}`;
  const when =
    line.until === undefined
      ? words.week.noWeek
      : line.until === today
        ? undefined
        : line.until < today
          ? words.week.lessonDue(formats.shortDay(line.until))
          : words.week.nextLesson(formats.weekday(line.until));
  return (
    <li className={`${styles.line} ${line.lessonToday === undefined ? "" : styles.lesson}`}>
      <div>
        <Link className={styles.name} to={here}>
          {line.name}
        </Link>
        <span className={styles.instrument}>
          {[line.instrument, when].filter(Boolean).join(" · ")}
        </span>
        {line.lessonToday !== undefined && (
          <Link className={styles.lessonLink} to={`${here}/lesson`}>
            {words.week.lessonToday(line.lessonToday).replace(/, $/, "")} →
          </Link>
        )}
      </div>
      <WeekBars days={line.days} today={today} most={most} />
      <span className={styles.total}>
        {words.week.done(Math.round(line.days.reduce((sum, { played }) => sum + played, 0)))}
        {line.goal !== undefined && (
          <span className={styles.soft}>{words.week.asked(line.goal)}</span>
        )}
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
  );
}

// A calendar to choose from weighs more than the rest of the page; most days nobody wants it.
const ConcertForm = lazy(() =>
  import("./concert-form").then(({ ConcertForm: form }) => ({ default: form })),
);

function Concert(props: ConcertFormProps) {
  const refused = props.refused !== undefined;
  const [open, setOpen] = useState(refused);
  return (
    <details
      className={styles.concert}
      open={refused}
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
    >
      <summary>{words.week.setConcert}</summary>
      {open && (
        <Suspense>
          <ConcertForm {...props} />
        </Suspense>
      )}
    </details>
  );
}
