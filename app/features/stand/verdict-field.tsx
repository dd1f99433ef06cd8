import { useSyncExternalStore } from "react";
import type { Verdict } from "~/core/gate";
import { words } from "~/words/stand-words";
import { useStand } from "./stand-context";
import styles from "./bottom-fields.module.css";

interface VerdictFieldProps {
  readonly verdict: Verdict;
  /** The breather waits for it. */
  readonly asked: boolean;
  readonly usable: boolean;
  readonly says: string;
}

const nothing = () => () => undefined;
const unmarked = () => undefined;

/**
 * A verdict's field. A press is marked at once, by this field alone, while the play is written;
 * it is counted only when it is on disk.
 */
export function VerdictField({ verdict, asked, usable, says }: VerdictFieldProps) {
  const { desk, send } = useStand();
  const marked = useSyncExternalStore(
    desk?.marked.subscribe ?? nothing,
    desk?.marked.now ?? unmarked,
    unmarked,
  );
  const counting = marked === verdict;
  return (
    <button
      type="button"
      className={`${styles.field} ${styles[verdict]} ${asked ? styles.asked : ""}`}
      disabled={!usable}
      data-counting={counting || undefined}
      onClick={() => send({ kind: "judge", verdict })}
    >
      <Notehead open={verdict === "flawed"} />
      <strong>{counting ? words.stand.counting : says}</strong>
      <kbd>{verdict === "clean" ? words.stand.cleanKey : words.stand.flawedKey}</kbd>
    </button>
  );
}

function Notehead({ open }: { open: boolean }) {
  return (
    <svg viewBox="0 0 40 30" className={styles.head} aria-hidden>
      <ellipse
        cx="20"
        cy="15"
        rx="15"
        ry="10.5"
        transform="rotate(-22 20 15)"
        fill={open ? "none" : "currentColor"}
        stroke="currentColor"
        strokeWidth="4"
      />
      {open && <path d="M4 28L36 2" stroke="currentColor" strokeWidth="3.5" />}
    </svg>
  );
}
