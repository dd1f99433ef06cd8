import Button from "@mui/material/Button";
import { useFetcher } from "react-router";
import type { WeekChange } from "~/core/week";
import { changeTold } from "~/features/my-week/change-told";
import { changeWords } from "~/words/change-week";
import styles from "./today.module.css";

interface WeekChangedProps {
  readonly changes: readonly WeekChange[];
  readonly looksOnly: boolean;
}

/** What the teacher has changed in the week that is on, until the student has seen it. */
export function WeekChanged({ changes, looksOnly }: WeekChangedProps) {
  const fetcher = useFetcher();
  if (changes.length === 0) return null;
  return (
    <section className={styles.word}>
      <strong>{changeWords.heading}</strong>
      <ul>
        {changes.map((change) => (
          <li key={`${change.item.id} ${change.day} ${change.what}`}>{changeTold(change)}</li>
        ))}
      </ul>
      {!looksOnly && (
        <fetcher.Form method="post">
          <Button
            type="submit"
            name="act"
            value="seen-change"
            variant="outlined"
            disabled={fetcher.state !== "idle"}
          >
            {changeWords.seen}
          </Button>
        </fetcher.Form>
      )}
    </section>
  );
}
