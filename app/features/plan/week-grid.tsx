import { useFormats } from "~/components/locale";
import type { Day } from "~/core/units";
import { planWords } from "~/words/plan";
import type { StudentWeek, WeekDay, WeekItem } from "~/core/week";
import styles from "./week-grid.module.css";

const { week: said } = planWords;

interface WeekGridProps {
  readonly week: StudentWeek;
  readonly today: Day;
}

/** The days of a week side by side; each item as tall as its minutes. */
export function WeekGrid({ week, today }: WeekGridProps) {
  const formats = useFormats();
  const titleOf = (id: string) => week.items.find((item) => item.id === id)?.title ?? "";
  return (
    <>
      <ol className={styles.grid}>
        {week.days.map((day) => (
          <DayColumn key={day.day} day={day} items={week.items} today={today} />
        ))}
      </ol>
      {week.notes.length > 0 && (
        <ul className={styles.notes} role="note">
          {week.notes.map((note) => (
            <li key={`${note.kind} ${note.itemId}`}>
              {note.kind === "falls-out"
                ? said.falls(titleOf(note.itemId), note.times)
                : said.rests(titleOf(note.itemId), note.days, formats.shortDay(note.to))}
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
  const asked = day.asked.reduce((sum, { minutes }) => sum + minutes, 0);
  const past = day.day < today;
  const done = items.flatMap((item) => {
    const there = item.done.find((each) => each.day === day.day);
    return there ? [{ id: item.id, title: item.title, minutes: Math.round(there.minutes) }] : [];
  });
  const isToday = day.day === today;
  return (
    <li className={`${styles.day} ${isToday ? styles.today : ""} ${past ? styles.past : ""}`}>
      <span className={styles.name}>{formats.shortDay(day.day)}</span>
      <span className={styles.there}>
        {past
          ? said.done(Math.round(day.played))
          : day.minutes === 0
            ? said.free
            : said.of2(asked, day.minutes)}
        {!past && day.times[0] && <> · {day.times.map(({ from }) => from).join(", ")}</>}
      </span>
      <ul>
        {done.map(({ id, title, minutes }) => (
          <li key={`done ${id}`} className={styles.done}>
            <span aria-hidden>✓ </span>
            {title} <span className={styles.minutes}>{planWords.minutes(minutes)}</span>
          </li>
        ))}
        {day.asked.map(({ itemId, minutes }) => {
          const item = items.find(({ id }) => id === itemId);
          return (
            <li key={itemId} style={{ minHeight: `${Math.min(96, 22 + minutes * 2.2)}px` }}>
              {item?.title} <span className={styles.minutes}>{planWords.minutes(minutes)}</span>
            </li>
          );
        })}
      </ul>
    </li>
  );
}
