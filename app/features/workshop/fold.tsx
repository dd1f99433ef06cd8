import { useEffect, useState, type ReactNode } from "react";
import styles from "./fold.module.css";

interface FoldProps {
  readonly title: string;
  /** What is set inside, in a few words. */
  readonly told: string;
  readonly open?: boolean;
  /** Something inside is wrong: it opens by itself. */
  readonly wrong: boolean;
  readonly children: () => ReactNode;
}

/** A part of the form that says what it holds while it is folded. */
export function Fold({ title, told, open = false, wrong, children }: FoldProps) {
  const [isOpen, setOpen] = useState(open);
  useEffect(() => {
    if (wrong) setOpen(true);
  }, [wrong]);
  return (
    <details
      className={styles.fold}
      open={isOpen}
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
    >
      <summary>
        <span className={styles.title}>{title}</span>
        <span className={styles.told}>{told}</span>
      </summary>
      {/* What is folded away costs nothing when a number moves. */}
      {isOpen && <div className={styles.fields}>{children()}</div>}
    </details>
  );
}
