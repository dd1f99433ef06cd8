import Button from "@mui/material/Button";
import { Check } from "lucide-react";
import { useFetcher } from "react-router";
import { planWords } from "~/words/plan";
import type { AskedItem } from "~/core/week";
import styles from "./today.module.css";

const { today } = planWords;

/** What the week asked of today and is done. */
export function DoneToday({ asked }: { asked: readonly AskedItem[] }) {
  const fetcher = useFetcher();
  const done = asked.filter((each) => each.done);
  if (done.length === 0) return null;
  return (
    <ul className={styles.done} aria-label={today.doneToday}>
      {done.map(({ itemId, title, minutes, practised, enough }) => (
        <li key={itemId}>
          <Check size={16} aria-hidden /> {title}
          <span>{enough ? today.saidEnough : today.doneOf(practised, minutes)}</span>
          {enough && (
            <fetcher.Form method="post">
              <input type="hidden" name="act" value="not-enough" />
              <input type="hidden" name="itemId" value={itemId} />
              <Button type="submit" size="small" aria-label={today.notEnoughOf(title)}>
                {today.notEnough}
              </Button>
            </fetcher.Form>
          )}
        </li>
      ))}
    </ul>
  );
}
