import { useFormats } from "~/components/locale";
import type { Ladder, LadderCost } from "~/core/ladder";
import { words } from "~/words";
import styles from "./ladder.module.css";

interface CostNoteProps {
  readonly cost: LadderCost;
  readonly ladder: Ladder;
  /** Weighted plays behind the estimate. */
  readonly plays: number;
  readonly name: string;
}

const OUT_OF_SIGHT_MINUTES = 600;

/** What the ladder costs this student, in plays, minutes and days. */
export function CostNote({ cost, ladder, plays, name }: CostNoteProps) {
  const formats = useFormats();
  const days = Math.ceil(cost.minutes / ladder.minutes);
  const endless = cost.minutes > OUT_OF_SIGHT_MINUTES;
  const hardest = cost.rungs.reduce((a, b) => (b.minutes > a.minutes ? b : a));
  return (
    <div className={styles.cost}>
      <dl>
        <div>
          <dt>{words.cost.rungs}</dt>
          <dd>{cost.rungs.length}</dd>
        </div>
        <div>
          <dt>{words.cost.plays}</dt>
          <dd>{endless ? words.cost.many : words.cost.about(formats.whole(cost.plays))}</dd>
        </div>
        <div>
          <dt>{words.cost.minutes}</dt>
          <dd>{endless ? words.cost.hours : words.cost.about(formats.whole(cost.minutes))}</dd>
        </div>
        <div>
          <dt>{words.cost.fits(ladder.minutes)}</dt>
          <dd>{formats.percent(cost.fits)}</dd>
        </div>
      </dl>
      <p>
        {endless
          ? words.cost.outOfReach(name, hardest.rung.tempo, formats.percent(hardest.clean))
          : words.cost.told(
              name,
              formats.whole(cost.minutesLow),
              formats.whole(cost.minutesHigh),
              days,
              ladder.minutes,
            )}{" "}
        {!endless &&
          words.cost.hardest(
            hardest.rung.tempo,
            formats.percent(hardest.clean),
            formats.whole(hardest.plays),
          )}
      </p>
      <p className={styles.soft}>
        {plays < 1 ? words.cost.fromPrior : words.cost.fromRecord(formats.whole(plays))}
      </p>
    </div>
  );
}
