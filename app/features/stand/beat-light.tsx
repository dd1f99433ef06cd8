import type { Position } from "./use-stand";
import styles from "./bottom-fields.module.css";

const MOST_DOTS = 12;

/** A dot per beat of the bar; the one that is heard is full; in a silent bar none is. */
export function BeatLight({ position }: { position: Position | undefined }) {
  const beats = position?.bar.beats.length ?? 0;
  if (!position || beats > MOST_DOTS) return <span className={styles.light} />;
  const lit = !position.bar.quiet;
  return (
    <span className={styles.light} aria-hidden>
      {Array.from({ length: beats }, (_, i) => (
        <span
          key={i}
          className={`${styles.dot} ${lit && i === position.beat - 1 ? styles.on : ""}`}
        />
      ))}
    </span>
  );
}
