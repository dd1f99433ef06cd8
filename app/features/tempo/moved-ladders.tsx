import Button from "@mui/material/Button";
import { useFetcher } from "react-router";
import type { MovedLadder } from "~/core/ladder";
import { words } from "~/words/stand-words";
import { tempiWords } from "~/words/tempi";
import styles from "./tempo.module.css";

const { moved: said } = tempiWords;

/** Ladders that moved tempi would change; each only by a press. */
export function MovedLadders({ moved }: { moved: readonly MovedLadder[] }) {
  const fetcher = useFetcher();
  if (moved.length === 0) return null;
  return (
    <>
      <h3>{said.title}</h3>
      <ul className={styles.moved}>
        {moved.map(({ passageId, fromBar, toBar, was, is, inWeek }) => (
          <li key={passageId}>
            <span>{said.line(words.capital(words.bars(fromBar, toBar)), was, is)}</span>
            {inWeek ? (
              <span className={styles.soft}>{said.inWeek}</span>
            ) : (
              <fetcher.Form method="post">
                <input type="hidden" name="passage" value={passageId} />
                <Button
                  type="submit"
                  name="act"
                  value="move-ladder"
                  size="small"
                  variant="outlined"
                >
                  {said.change}
                </Button>
              </fetcher.Form>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}
