import { words } from "~/words/stand-words";
import styles from "./tempo-span.module.css";

interface TempoSpanProps {
  /** Comfortable tempo, if known. */
  readonly start: number | undefined;
  /** Tempo reached, if any. */
  readonly now: number | undefined;
  readonly target: number;
}

/** How far towards the target: the comfortable stretch solid, what was reached as a notch. */
export function TempoSpan({ start, now, target }: TempoSpanProps) {
  const share = (tempo: number) => Math.min(100, Math.max(0, (100 * tempo) / target));
  return (
    <span
      className={styles.span}
      role="img"
      aria-label={words.tempoSpan(start === undefined ? undefined : Math.round(start), now, target)}
    >
      {start !== undefined && (
        <span className={styles.comfort} style={{ width: `${share(start)}%` }} />
      )}
      {now !== undefined && <span className={styles.now} style={{ left: `${share(now)}%` }} />}
    </span>
  );
}
