import type { PassageState } from "~/core/score";
import { words } from "~/words/stand-words";
import styles from "./state-mark.module.css";

/** Raw, forming, safe: a notehead that fills, with its word. */
export function StateMark({ state, bare = false }: { state: PassageState; bare?: boolean }) {
  return (
    <span className={`${styles.mark} ${styles[state]}`}>
      <svg
        viewBox="0 0 20 16"
        width="20"
        height="16"
        aria-hidden={!bare}
        role={bare ? "img" : undefined}
        aria-label={bare ? words.state[state] : undefined}
      >
        <g transform="rotate(-22 10 8)">
          <ellipse cx="10" cy="8" rx="7.6" ry="5.4" className={styles.ring} />
          {state === "forming" && (
            <path d="M10 2.6a7.6 5.4 0 0 0 0 10.8z" className={styles.fill} />
          )}
          {state === "safe" && <ellipse cx="10" cy="8" rx="7.6" ry="5.4" className={styles.fill} />}
        </g>
      </svg>
      {!bare && words.state[state]}
    </span>
  );
}
