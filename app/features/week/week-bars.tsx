import { useFormats } from "~/components/locale";
import type { Day } from "~/core/units";
import { words } from "~/words";
import styles from "./week-bars.module.css";

interface WeekBarsProps {
  readonly days: readonly Day[];
  readonly minutes: readonly number[];
  /** The longest day of the board; all lines share this scale. */
  readonly most: number;
}

const HEIGHT = 44;

/** Minutes by day as columns on a common scale; a day without practice is a dot. */
export function WeekBars({ days, minutes, most }: WeekBarsProps) {
  const formats = useFormats();
  const told = days
    .map((day, i) => `${formats.weekday(day)} ${words.minutes(minutes[i] ?? 0)}`)
    .join(", ");
  return (
    <span className={styles.bars} role="img" aria-label={told}>
      {days.map((day, i) => {
        const length = minutes[i] ?? 0;
        return (
          <span key={day} className={styles.day}>
            {length > 0 ? (
              <>
                <span className={styles.number}>{Math.max(1, Math.round(length))}</span>
                <span
                  className={styles.bar}
                  style={{ height: Math.max(3, (HEIGHT * length) / most) }}
                />
              </>
            ) : (
              <span className={styles.none} />
            )}
          </span>
        );
      })}
    </span>
  );
}
