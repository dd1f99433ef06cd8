import { expectedShare } from "~/core/record";
import { useFormats } from "~/components/locale";
import { chanceOf, daysGiven, nearLimit, type CleanAt } from "~/core/cost";
import type { Ladder, Rung } from "~/core/ladder";
import { words } from "~/words";
import type { CostKnown } from "./use-cost";
import styles from "./workshop.module.css";

interface CostFiguresProps {
  readonly ladder: Ladder;
  readonly rungs: readonly Rung[];
  readonly known: CostKnown;
  readonly cleanAt: CleanAt;
  readonly ceiling: number;
  /** Judged plays behind the estimate. */
  readonly plays: number;
  /** How hard its notes are, where they are known. */
  readonly hardness?: number | null;
  readonly name: string;
  /** Practice days that have gone by, with a ladder by the date. */
  readonly stage?: number;
  /** Only the figures, for comparing. */
  readonly brief?: boolean;
}

const { cost: said } = words;
const OUT_OF_SIGHT_MINUTES = 600;

/** No figure is told of what would take days on end. */
export const isOutOfSight = ({ minutes }: { readonly minutes: number }): boolean =>
  minutes > OUT_OF_SIGHT_MINUTES;

/**
 * Expected plays and minutes: by formula where every rung has one, else as simulated. Rung by rung
 * alike, so that the figures under the stairs add up to those here.
 */
export function figuresOf({ exact, simulated }: CostKnown) {
  if (!exact) return undefined;
  const drawn = simulated?.id === exact.id ? simulated.cost : undefined;
  const rungs = exact.cost.rungs.map((rung, i) =>
    exact.exactRungs[i] ? rung : (drawn?.rungs[i] ?? rung),
  );
  const total = exact.cost.exact || !drawn ? exact.cost : drawn;
  const spread = drawn ?? exact.cost;
  return {
    rungs,
    plays: total.plays,
    minutes: total.minutes,
    low: spread.minutesLow,
    high: spread.minutesHigh,
    fits: spread.fits,
    runs: drawn?.runs,
    exact: exact.cost.exact,
  };
}

/** What the ladder costs this student, in plays, minutes and chances. */
export function CostFigures(props: CostFiguresProps) {
  const { ladder, rungs, known, cleanAt, ceiling, plays, name, stage = 0, brief = false } = props;
  const { hardness = null } = props;
  const formats = useFormats();
  const figures = figuresOf(known);
  if (!figures) return <p className={styles.soft}>{said.title(name)} …</p>;
  const days = daysGiven(ladder, stage);
  const endless = isOutOfSight(figures);
  const fitting = figures.rungs.length === rungs.length;
  const near = nearLimit(
    rungs,
    figures.rungs.map(({ minutes }) => minutes),
    ceiling,
  );
  const about = (value: number) => said.about(formats.whole(value));
  return (
    <div className={styles.cost} data-runs={figures.runs ?? 0}>
      <dl>
        <Figure term={said.rungs} value={formats.whole(figures.rungs.length)} />
        <Figure term={said.plays} value={endless ? said.many : about(figures.plays)} />
        <Figure term={said.minutes} value={endless ? said.hours : about(figures.minutes)} />
        <Figure
          term={said.fits(ladder.minutes, days)}
          value={formats.percent(figures.fits)}
          strong
        />
        <Figure term={said.nearLimit} value={formats.percent(near.share)} />
      </dl>
      {!brief && fitting && (
        <>
          <p>
            {endless
              ? outOfReach(rungs, figures.rungs, cleanAt, name, formats.percent)
              : `${said.told(name, formats.whole(figures.low), formats.whole(figures.high))} ${hardest(rungs, figures.rungs, cleanAt, formats)}`}{" "}
            {said.near[near.verdict](formats.percent(near.share))}
          </p>
          <p className={styles.soft}>
            {plays < 1
              ? hardness === null
                ? said.fromPrior
                : said.fromNotes(formats.percent(expectedShare(hardness)))
              : said.fromRecord(formats.whole(plays))}{" "}
            {figures.exact ? said.byFormula : said.byBoth}
            {figures.runs ? said.bySimulation(formats.number(figures.runs)) : said.reckoning}{" "}
            {days > 1 && `${said.byDays} `}
            {said.learningOut}
          </p>
        </>
      )}
    </div>
  );
}

function Figure(props: { term: string; value: string; strong?: boolean }) {
  return (
    <div className={props.strong ? styles.strong : undefined}>
      <dt>{props.term}</dt>
      <dd>{props.value}</dd>
    </div>
  );
}

type Each = readonly { readonly plays: number; readonly minutes: number }[];

const hardestIndex = (each: Each): number =>
  each.reduce((most, { minutes }, i) => (minutes > each[most]!.minutes ? i : most), 0);

function hardest(
  rungs: readonly Rung[],
  each: Each,
  cleanAt: CleanAt,
  formats: ReturnType<typeof useFormats>,
): string {
  const index = hardestIndex(each);
  const clean = formats.percent(chanceOf(rungs[index]!, cleanAt));
  return said.hardest(rungs[index]!.top, clean, formats.whole(each[index]!.plays));
}

function outOfReach(
  rungs: readonly Rung[],
  each: Each,
  cleanAt: CleanAt,
  name: string,
  percent: (value: number) => string,
): string {
  const rung = rungs[hardestIndex(each)]!;
  return said.outOfReach(name, rung.top, percent(chanceOf(rung, cleanAt)));
}
