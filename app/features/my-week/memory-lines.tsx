import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { Form, Link } from "react-router";
import { useFormats } from "~/components/locale";
import type { MemoryPlan } from "~/core/week";
import type { Day } from "~/core/units";
import { heartWords } from "~/words/by-heart";
import { chanceInWords } from "~/words/outlook";
import { planWords } from "~/words/plan";
import styles from "./week-page.module.css";

export interface MemoryLine {
  readonly pieceId: string;
  readonly title: string;
  readonly plan: MemoryPlan;
  readonly stands: number;
  /** It is told bar by bar which stand, so that their number isn't typed. */
  readonly byBars: boolean;
  readonly ready: Day;
  readonly should: number;
  readonly aheadDays: number;
  /** The concert that it was for is over. */
  readonly over: boolean;
  readonly perDay: number | undefined;
  /** The chance that it all stands in time; null while it is too early to tell. */
  readonly chance: number | null;
}

const { week: said } = planWords;

/** What is being learnt by heart: how much stands, how much should, days ahead or behind. */
export function MemoryLines({
  lines,
  canMark,
  home,
}: {
  lines: readonly MemoryLine[];
  canMark: boolean;
  /** The student's pages, where each line leads to its bars. */
  home?: string;
}) {
  const formats = useFormats();
  return (
    <ul className={styles.items}>
      {lines.map((line) => {
        const unit = said.units[line.plan.unit];
        return (
          <li key={line.pieceId} className={styles.memory}>
            <div>
              <strong>{line.title}</strong>
              {line.over ? (
                <span className={styles.soft}>
                  {said.memoryOver(formats.shortDay(line.plan.concert))}
                </span>
              ) : (
                <span className={line.aheadDays < 0 ? styles.behind : styles.done}>
                  {said.ahead(line.aheadDays)}
                </span>
              )}
            </div>
            <div>
              <span className={styles.heart} aria-hidden>
                <span
                  style={{ width: `${Math.min(100, (100 * line.stands) / line.plan.total)}%` }}
                />
                <i style={{ left: `${Math.min(100, (100 * line.should) / line.plan.total)}%` }} />
              </span>
              <span className={styles.soft}>
                {said.memoryLine(line.stands, line.plan.total, unit)}
                {!line.over && <Ahead line={line} />}
              </span>
            </div>
            {home && <Link to={`${home}/pieces/${line.pieceId}/by-heart`}>{heartWords.open}</Link>}
            {canMark && !line.byBars && (
              <Form method="post" className={styles.mark}>
                <input type="hidden" name="act" value="stands" />
                <input type="hidden" name="pieceId" value={line.pieceId} />
                <TextField
                  name="stands"
                  type="number"
                  size="small"
                  label={said.stands}
                  defaultValue={line.stands}
                  slotProps={{ htmlInput: { min: 0, max: line.plan.total } }}
                />
                <Button type="submit" variant="outlined" size="small">
                  {said.write}
                </Button>
              </Form>
            )}
          </li>
        );
      })}
    </ul>
  );
}

/** How much should stand by now, and whether all of it will in time. */
function Ahead({ line }: { readonly line: MemoryLine }) {
  const formats = useFormats();
  const { plan, stands, should, ready, perDay = 0, chance } = line;
  const told = chance === null ? heartWords.tooEarly : heartWords.inTime(chanceInWords(chance));
  return (
    <>
      , {said.should(should)}; {said.ready(formats.shortDay(ready))}
      {perDay > 0 && `, ${said.perDay(formats.tenth(perDay), said.units[plan.unit])}`}
      {stands < plan.total && `; ${told}`}
    </>
  );
}
