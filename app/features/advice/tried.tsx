import Button from "@mui/material/Button";
import { useState } from "react";
import { useFetcher } from "react-router";
import { useFormats } from "~/components/locale";
import { adviceWords, changeTold, ruleNames } from "~/words/advice";
import { placeNamed, tempoOf, type ForToday } from "./advice-shapes";
import styles from "./advice.module.css";

const { tried: said } = adviceWords;

/** What a student changed for a day, the latest of them, and on how many. */
export interface TriedChange extends ForToday {
  readonly day: string;
  readonly days: number;
}

/** What a student changed for single days, as it was advised: the teacher keeps it with a press. */
export function Tried({
  home,
  tried,
}: {
  readonly home: string;
  readonly tried: readonly TriedChange[];
}) {
  const fetcher = useFetcher();
  const formats = useFormats();
  const [kept, setKept] = useState<ReadonlySet<TriedChange>>(new Set());
  if (tried.length === 0) return null;
  const keep = (each: TriedChange) => {
    setKept((before) => new Set([...before, each]));
    const { passageId: passage, change } = each;
    const fields = { act: "do", passage, change: JSON.stringify(change) };
    void fetcher.submit(fields, { method: "post", action: `${home}/advice` });
  };
  return (
    <div>
      <h3>{said.title}</h3>
      <ul className={styles.list}>
        {tried.map((each) => (
          <li key={`${each.passageId} ${JSON.stringify(each.change)}`} className={styles.one}>
            <p className={styles.where}>{placeNamed(each.passage)}</p>
            <p>
              {said.told(
                changeTold(each.change, tempoOf(each.passage)),
                ruleNames[each.rule],
                formats.longDay(each.day),
                each.days,
              )}
            </p>
            <div className={styles.offers}>
              {kept.has(each) ? (
                <span role="status">{adviceWords.changed}</span>
              ) : (
                <Button
                  variant="outlined"
                  size="small"
                  aria-label={said.keepOf(placeNamed(each.passage))}
                  onClick={() => keep(each)}
                >
                  {said.keep}
                </Button>
              )}
            </div>
          </li>
        ))}
      </ul>
    </div>
  );
}
