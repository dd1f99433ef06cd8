import type { CSSProperties } from "react";
import { words } from "~/words";
import styles from "./minute-ribbon.module.css";

export interface MinuteBlock {
  readonly id: string;
  readonly title: string;
  readonly detail: string;
  readonly minutes: number;
  readonly played?: number;
}

/** The ribbon of minutes: each block as wide as it lasts, what was played filled from the left. */
export function MinuteRibbon({ blocks }: { blocks: readonly MinuteBlock[] }) {
  const total = blocks.reduce((sum, { minutes }) => sum + minutes, 0);
  return (
    <ol className={styles.ribbon} aria-label={words.minuteRibbon.label(total)}>
      {blocks.map(({ id, title, detail, minutes, played = 0 }) => (
        <li
          key={id}
          style={{ "--minutes": minutes } as CSSProperties}
          title={`${title}, ${detail}`}
        >
          <span
            className={styles.played}
            style={{ width: `${Math.min(100, (100 * played) / minutes)}%` }}
          />
          <span className={styles.minutes}>{words.minutes(minutes)}</span>
          <span className={styles.title}>{title}</span>
          <span className={styles.detail}>{detail}</span>
        </li>
      ))}
    </ol>
  );
}
