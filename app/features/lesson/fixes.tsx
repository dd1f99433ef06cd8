import Button from "@mui/material/Button";
import { useState } from "react";
import { Link } from "react-router";
import {
  asksTooMuch,
  fitted,
  FIXES,
  type AssignmentItem,
  type Fix,
  type StudentWeek,
} from "~/core/week";
import { oftenTold } from "~/features/my-week/often-told";
import { words } from "~/words";
import { changeWords } from "~/words/change-week";
import type { Items } from "./use-items";
import styles from "./lesson.module.css";

interface FixesProps {
  readonly it: Pick<Items, "items" | "replace">;
  /** The week as it would be with some items. */
  readonly preview: (items: readonly AssignmentItem[]) => StudentWeek;
  readonly raw: readonly string[];
  readonly home: string;
}

interface Proposed {
  readonly fix: Fix;
  /** Nothing where it can't be made to fit this way. */
  readonly items: readonly AssignmentItem[] | undefined;
}

const asText = (items: readonly AssignmentItem[]) => JSON.stringify(items);

/** Offers to make a week fit that asks too much: what that would cut is told first, and can be undone. */
export function Fixes({ it, preview, raw, home }: FixesProps) {
  const [proposed, setProposed] = useState<Proposed | undefined>(undefined);
  const [done, setDone] = useState<{ before: readonly AssignmentItem[]; after: string }>();
  const now = asText(it.items);
  if (done && done.after === now) {
    return (
      <div className={styles.fixes} role="status">
        <span>{changeWords.fix.done}</span>
        <Button variant="outlined" onClick={() => it.replace(done.before)}>
          {changeWords.fix.undo}
        </Button>
      </div>
    );
  }
  if (!asksTooMuch(preview(it.items))) return null;
  const propose = (fix: Fix) =>
    setProposed({ fix, items: fitted(it.items, { fix, preview, raw: new Set(raw) }) });
  const apply = (items: readonly AssignmentItem[]) => {
    setDone({ before: it.items, after: asText(items) });
    setProposed(undefined);
    it.replace(items);
  };
  return (
    <>
      <div className={styles.fixes}>
        {FIXES.map((fix) => (
          <Button
            key={fix}
            variant="outlined"
            aria-expanded={proposed?.fix === fix}
            onClick={() => propose(fix)}
          >
            {changeWords.fix.by[fix]}
          </Button>
        ))}
        <Button component={Link} to={`${home}/times`} variant="outlined">
          {changeWords.fix.times}
        </Button>
      </div>
      {proposed && (
        <div className={styles.typed} role="status">
          {proposed.items ? (
            <>
              <p>{changeWords.fix.would}</p>
              <Cuts before={it.items} after={proposed.items} />
              <Button variant="contained" onClick={() => apply(proposed.items!)}>
                {changeWords.fix.apply}
              </Button>
            </>
          ) : (
            <p>{changeWords.fix.never}</p>
          )}
          <Button variant="outlined" onClick={() => setProposed(undefined)}>
            {words.cancel}
          </Button>
        </div>
      )}
    </>
  );
}

interface CutsProps {
  readonly before: readonly AssignmentItem[];
  readonly after: readonly AssignmentItem[];
}

function Cuts({ before, after }: CutsProps) {
  const said = ({ often, minutes, goalTempo: tempo }: AssignmentItem) => ({
    ...{ often: oftenTold(often), minutes, tempo },
  });
  return (
    <ul>
      {after.flatMap((item, n) => {
        const was = before[n]!;
        if (asText([was]) === asText([item])) return [];
        return <li key={item.id}>{changeWords.cut(item.title, said(was), said(item))}</li>;
      })}
    </ul>
  );
}
