import { words } from "~/words";
import type { Waiting } from "./send-waiting";
import styles from "./waiting-note.module.css";

/** How much of what was played lies only on this device; nothing when all has arrived. */
export function WaitingNote({ waiting }: { waiting: Waiting | undefined }) {
  if (!waiting || waiting.events === 0) return null;
  return (
    <p className={styles.note} role="status">
      {words.waiting[waiting.sending](waiting.plays)}
    </p>
  );
}
