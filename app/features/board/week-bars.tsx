import { useFormats } from "~/components/locale";
import type { Day } from "~/core/units";
import { words } from "~/words";
import styles from "./week-bars.module.css";

export interface LineDay {
  readonly day: Day;
  readonly asked: number;
  readonly played: number;
}

interface WeekBarsProps {
  readonly days: readonly LineDay[];
  readonly today: Day;
  /** The longest day of the board; all lines share this scale. */
  readonly most: number;
}

const HEIGHT = 44;
/** Room for the minutes above a bar. */
const NUMBER = 18;
const LOWEST = 12;
/** More days than these have no room for their names under the bars. */
const MOST_NAMED = 14;

/** Minutes by day on a common scale: outlined what is asked, filled what was practised. */
export function WeekBars({ days, today, most }: WeekBarsProps) {
  const formats = useFormats();
  const tall = (minutes: number) => Math.max(3, (HEIGHT * minutes) / most);
  const top = ({ asked, played }: LineDay) => tall(Math.max(asked, played));
  const height = Math.max(
    LOWEST,
    ...days.map((each) => top(each) + (each.played > 0 ? NUMBER : 0)),
  );
  const told = days
    .map(({ day, asked, played }) => words.week.dayTold(formats.weekday(day), played, asked))
    .join(", ");
  return (
    <span className={styles.bars} role="img" aria-label={told}>
      {days.map(({ day, asked, played }) => (
        <span
          key={day}
          className={`${styles.day} ${day === today ? styles.today : ""} ${day > today ? styles.ahead : ""}`}
        >
          <span className={styles.columns} style={{ height }}>
            {played > 0 && days.length <= MOST_NAMED && (
              <span className={styles.number} style={{ bottom: top({ day, asked, played }) }}>
                {Math.round(played) || "<1"}
              </span>
            )}
            {asked > 0 && <span className={styles.asked} style={{ height: tall(asked) }} />}
            {played > 0 && <span className={styles.bar} style={{ height: tall(played) }} />}
            {asked === 0 && played === 0 && <span className={styles.none} />}
          </span>
          {days.length <= MOST_NAMED && (
            <span className={styles.letter}>{formats.weekday(day).slice(0, 2)}</span>
          )}
        </span>
      ))}
    </span>
  );
}
