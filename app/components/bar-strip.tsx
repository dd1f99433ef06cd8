import { words } from "~/words";
import styles from "./bar-strip.module.css";

interface BarStripProps {
  readonly fromBar: number;
  readonly toBar: number;
  readonly pickup: boolean;
}

const MOST_DRAWN = 24;

/** The bars of a passage as a short row, the first and the last with their number. */
export function BarStrip({ fromBar, toBar, pickup }: BarStripProps) {
  const count = toBar - fromBar + 1;
  const drawn = Math.min(count, MOST_DRAWN);
  return (
    <span
      className={styles.strip}
      role="img"
      aria-label={words.bars(fromBar, toBar)}
      style={{ width: `${Math.min(11, 2.4 + drawn * 1.1)}rem` }}
    >
      {pickup && <span className={styles.pickup} />}
      {Array.from({ length: drawn }, (_, n) => (
        <span key={n} className={styles.bar}>
          {n === 0 && fromBar}
          {n > 0 && n === drawn - 1 && toBar}
        </span>
      ))}
    </span>
  );
}
