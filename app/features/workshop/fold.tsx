import { useEffect, useRef, type ReactNode } from "react";
import styles from "./fold.module.css";

interface FoldProps {
  readonly title: string;
  /** What is set inside, in a few words. */
  readonly told: string;
  readonly open?: boolean;
  /** Something inside is wrong: it opens by itself. */
  readonly wrong: boolean;
  readonly children: ReactNode;
}

/** A part of the form that says what it holds while it is folded. */
export function Fold({ title, told, open = false, wrong, children }: FoldProps) {
  const details = useRef<HTMLDetailsElement>(null);
  useEffect(() => {
    if (wrong && details.current) details.current.open = true;
  }, [wrong]);
  return (
    <details ref={details} className={styles.fold} open={open}>
      <summary>
        <span className={styles.title}>{title}</span>
        <span className={styles.told}>{told}</span>
      </summary>
      <div className={styles.fields}>{children}</div>
    </details>
  );
}
