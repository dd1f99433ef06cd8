import Button from "@mui/material/Button";
import { useState, type CSSProperties } from "react";
import { useFormats } from "~/components/locale";
import type { Day } from "~/core/units";
import { planWords } from "~/words/plan";
import type { StudentWeek, WeekDay, WeekItem } from "~/core/week";
import styles from "./week-grid.module.css";

const { week: said } = planWords;
const WEEK = 7;

const askedOn = ({ asked }: WeekDay) => asked.reduce((sum, { minutes }) => sum + minutes, 0);

interface WeekGridProps {
  readonly week: StudentWeek;
  readonly today: Day;
  /** It is being put together: that it asks too much is said. */
  readonly preview?: boolean;
}

/** The days of a week side by side, on a phone from today on; each item as tall as its minutes. */
export function WeekGrid({ week, today, preview = false }: WeekGridProps) {
  const formats = useFormats();
  const titleOf = (id: string) => week.items.find((item) => item.id === id)?.title ?? "";
  const over = week.days.filter(({ day }) => day < today);
  const folds = over.length > 0 && over.length < week.days.length;
  const [unfolded, setUnfolded] = useState(false);
  const done = over.reduce((sum, { played }) => sum + played, 0);
  const asked = over.reduce((sum, day) => sum + askedOn(day), 0);
  const notes = week.notes.filter(({ kind }) => preview || kind !== "too-much");
  return (
    <>
      {folds && (
        <div className={styles.earlier}>
          <Button
            size="small"
            variant="outlined"
            aria-expanded={unfolded}
            onClick={() => setUnfolded(!unfolded)}
          >
            {said.earlier(over.length, Math.round(done), asked)}
          </Button>
        </div>
      )}
      <ol
        className={`${styles.grid} ${folds && !unfolded ? styles.folded : ""}`}
        style={{ "--days": Math.min(WEEK, week.days.length) } as CSSProperties}
      >
        {week.days.map((day) => (
          <DayColumn key={day.day} day={day} items={week.items} today={today} />
        ))}
      </ol>
      {notes.length > 0 && (
        <ul className={styles.notes} role="note">
          {notes.map((note) => (
            <li key={`${note.kind} ${"itemId" in note ? note.itemId : ""}`}>
              {note.kind === "falls-out" && said.falls(titleOf(note.itemId), note.times)}
              {note.kind === "rests" &&
                said.rests(titleOf(note.itemId), note.days, formats.shortDay(note.to))}
              {note.kind === "too-much" && said.tooMuch(note.asked, note.laid)}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

interface DayColumnProps {
  readonly day: WeekDay;
  readonly items: readonly WeekItem[];
  readonly today: Day;
}

function DayColumn({ day, items, today }: DayColumnProps) {
  const formats = useFormats();
  const asked = askedOn(day);
  const past = day.day < today;
  const isToday = day.day === today;
  const began = day.played > 0;
  const practised = items.flatMap((item) => {
    const there = item.practised.find((each) => each.day === day.day);
    return there ? [{ ...there, id: item.id, title: item.title }] : [];
  });
  const open = day.asked.filter(({ done }) => !done);
  return (
    <li className={`${styles.day} ${isToday ? styles.today : ""} ${past ? styles.past : ""}`}>
      <span className={styles.name}>{formats.shortDay(day.day)}</span>
      <span className={styles.there}>
        {(past && (began || asked > 0)) || (isToday && began)
          ? said.doneOfAsked(day.played, asked)
          : past || day.minutes === 0
            ? said.free
            : said.askedOf(asked, day.minutes)}
        {!past && day.times[0] && <> · {day.times.map(({ from }) => from).join(", ")}</>}
      </span>
      <ul>
        {practised.map(({ id, title, minutes, done }) => (
          <li key={`done ${id}`} className={done ? styles.done : styles.begun}>
            <span aria-hidden>{done ? "✓ " : "– "}</span>
            {title}{" "}
            <span className={styles.minutes}>
              {done ? planWords.minutes(minutes) : said.begun(minutes)}
            </span>
          </li>
        ))}
        {day.besides.map(({ minutes, note }, n) => (
          <li key={`besides ${n}`} className={styles.done}>
            <span aria-hidden>✓ </span>
            {note || said.byHandLogged}{" "}
            <span className={styles.minutes}>{planWords.minutes(minutes)}</span>
          </li>
        ))}
        {open.map(({ itemId, minutes, practised: there }) => {
          const item = items.find(({ id }) => id === itemId);
          const owed = Math.max(1, minutes - Math.round(there));
          return past ? (
            there === 0 && (
              <li key={itemId} className={styles.missed}>
                {item?.title} <span className={styles.minutes}>{said.missed(minutes)}</span>
              </li>
            )
          ) : (
            <li key={itemId} style={{ minHeight: `${Math.min(96, 22 + owed * 2.2)}px` }}>
              {item?.title}{" "}
              <span className={styles.minutes}>
                {there > 0 ? said.stillOwed(owed) : planWords.minutes(owed)}
              </span>
            </li>
          );
        })}
      </ul>
    </li>
  );
}
