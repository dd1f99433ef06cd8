import { words } from "~/words/stand-words";
import styles from "./care.module.css";

/** The usual cautions; shown where playing begins, and when it hurts. */
export function Care({ open = false }: { open?: boolean }) {
  return (
    <details className={styles.care} open={open}>
      <summary>{words.care.title}</summary>
      <ul>
        {words.care.points.map((point) => (
          <li key={point}>{point}</li>
        ))}
      </ul>
      <p>{words.care.noDiagnosis}</p>
    </details>
  );
}
