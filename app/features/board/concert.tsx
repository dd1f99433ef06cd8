import { lazy, Suspense, useState } from "react";
import { words } from "~/words";
import type { ConcertFormProps } from "./concert-form";
import styles from "./board.module.css";

// A calendar to choose from weighs more than the rest of the page; most days nobody wants it.
const ConcertForm = lazy(() =>
  import("./concert-form").then(({ ConcertForm: form }) => ({ default: form })),
);

/** The concert, folded away until somebody asks for it. */
export function Concert(props: ConcertFormProps) {
  const refused = props.refused !== undefined;
  const [open, setOpen] = useState(refused);
  return (
    <details
      className={styles.concert}
      open={refused}
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
    >
      <summary>{words.week.setConcert}</summary>
      {open && (
        <Suspense>
          <ConcertForm {...props} />
        </Suspense>
      )}
    </details>
  );
}
