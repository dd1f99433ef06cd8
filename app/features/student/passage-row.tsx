import Button from "@mui/material/Button";
import { Link } from "react-router";
import { TempoText } from "~/components/beat-unit";
import { useFormats } from "~/components/locale";
import { PractiseNow } from "~/components/practise-now";
import { StateMark } from "~/components/state-mark";
import { TempoSpan } from "~/components/tempo-span";
import { daysBetween, type Day } from "~/core/units";
import type { PassageLine } from "~/features/shapes";
import { words } from "~/words";
import styles from "./student.module.css";

interface PassageRowProps {
  readonly studioId: string;
  readonly today: Day;
  readonly passage: PassageLine;
  readonly home: string;
  readonly teaches: boolean;
  readonly looksOnly: boolean;
}

export function PassageRow(props: PassageRowProps) {
  const { studioId, today, passage, teaches, looksOnly, home } = props;
  const formats = useFormats();
  const here = `/studio/${studioId}/passages/${passage.id}`;
  const bars = words.bars(passage.fromBar, passage.toBar);
  return (
    <li className={styles.passage}>
      <div>
        <Link className={styles.bars} to={here}>
          {passage.name || words.capital(bars)}
        </Link>
        <span className={styles.soft}>
          {[passage.name && bars, passage.focus].filter(Boolean).join(" · ")}
        </span>
      </div>
      <StateMark state={passage.state} />
      {passage.target === null ? (
        <span className={styles.soft}>{words.student.noLadder}</span>
      ) : (
        <TempoSpan
          start={passage.comfortable ?? undefined}
          now={passage.reached ?? passage.ended ?? undefined}
          target={passage.target}
        />
      )}
      <div className={styles.tempi}>
        {passage.target !== null && (
          <>
            <TempoText
              unit={passage.beatUnit}
              bpm={passage.reached ? formats.whole(passage.reached) : "–"}
            />
            <span className={styles.soft}> → {formats.tenth(passage.target)}</span>
          </>
        )}
        <span className={styles.when}>
          {[
            passage.comfortable !== null &&
              words.student.comfortable(Math.round(passage.comfortable), passage.inKey),
            passage.lastDay
              ? words.ago(daysBetween(passage.lastDay, today))
              : words.student.unplayed,
          ]
            .filter(Boolean)
            .join(" · ")}
        </span>
      </div>
      <div className={styles.acts}>
        {!looksOnly && passage.target !== null && <PractiseNow home={home} passage={passage} />}
        {teaches && (
          <Button
            component={Link}
            to={`${here}/ladder`}
            variant={passage.target === null ? "contained" : "text"}
            size="small"
          >
            {passage.target === null ? words.student.setLadder : words.student.ladder}
          </Button>
        )}
      </div>
    </li>
  );
}
