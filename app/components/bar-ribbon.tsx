import { metreAt, type BarMarks, type MetreRegion, type PassageState } from "~/core/score";
import { barLength, formatMetre } from "~/core/units";
import { words } from "~/words/stand-words";
import { lanesOf } from "./bar-lanes";
import { StateMark } from "./state-mark";
import { useBarSelection, type BarRange } from "./use-bar-selection";
import styles from "./bar-ribbon.module.css";

export interface RibbonPassage extends BarRange {
  readonly id: string;
  readonly label: string;
  readonly state: PassageState;
}

export interface BarRibbonProps {
  readonly bars: number;
  readonly firstBar?: number;
  readonly metres: readonly MetreRegion[];
  readonly pickupBeats?: number;
  readonly passages?: readonly RibbonPassage[];
  /** Flawed plays by bar. */
  readonly flaws?: Readonly<Record<number, number>>;
  /** How well bars go, as they were touched. */
  readonly marks?: BarMarks;
  readonly selection?: BarRange | undefined;
  /** When given, bars can be chosen: by dragging, or with the arrow keys (Shift extends). */
  readonly onSelect?: (range: BarRange) => void;
}

const WIDTH_PER_WHOLE = 62;
const NARROWEST = 38;
const widthOf = (wholes: number) => Math.max(NARROWEST, wholes * WIDTH_PER_WHOLE);

/** The bars of a piece as a ribbon of staff lines; passages hang below it as brackets. */
export function BarRibbon(props: BarRibbonProps) {
  const {
    bars,
    firstBar = 1,
    metres,
    pickupBeats = 0,
    passages = [],
    flaws = {},
    marks = {},
  } = props;
  const { selection, onSelect } = props;
  const lanes = lanesOf(passages);
  const selecting = useBarSelection(firstBar, firstBar + bars - 1, selection, onSelect);
  const most = Math.max(1, ...Object.values(flaws));

  return (
    <div
      className={styles.ribbon}
      role={onSelect ? "listbox" : "list"}
      aria-label={onSelect ? words.barRibbon.choose : words.barRibbon.label(bars)}
      aria-multiselectable={onSelect ? true : undefined}
      {...selecting.container}
    >
      {pickupBeats > 0 && firstBar === 1 && (
        <span
          role={onSelect ? "presentation" : "listitem"}
          className={`${styles.bar} ${styles.pickup}`}
          style={{ width: widthOf(pickupBeats / metreAt(metres, 1).unit) }}
          title={words.barRibbon.pickup(pickupBeats)}
        >
          <span className={styles.staff} />
        </span>
      )}
      {Array.from({ length: bars }, (_, i) => {
        const number = firstBar + i;
        const metre = metreAt(metres, number);
        const changes = metres.some(({ fromBar }) => fromBar === number);
        const chosen = selection && number >= selection.fromBar && number <= selection.toBar;
        const flawed = flaws[number] ?? 0;
        return (
          <span
            key={number}
            role={onSelect ? "option" : "listitem"}
            aria-selected={onSelect ? Boolean(chosen) : undefined}
            aria-label={words.barRibbon.bar(
              number,
              flawed,
              marks[number] && words.barMark[marks[number]],
            )}
            data-bar={number}
            className={`${styles.bar} ${chosen ? styles.chosen : ""}`}
            style={{ width: widthOf(barLength(metre)) }}
            {...(onSelect ? selecting.bar(number) : {})}
          >
            <span className={styles.number}>
              {number} {marks[number] && <StateMark state={marks[number]} bare />}
            </span>
            <span className={styles.staff}>
              {flawed > 0 && (
                <span className={styles.flaws} style={{ opacity: 0.35 + (0.65 * flawed) / most }} />
              )}
              {flawed > 0 && <span className={styles.tally}>×{flawed}</span>}
              {(changes || number === firstBar) && (
                <span className={styles.metre}>{formatMetre(metre)}</span>
              )}
            </span>
            {lanes.map((lane, index) => {
              const passage = lane.find((each) => number >= each.fromBar && number <= each.toBar);
              return (
                <span key={index} className={styles.lane}>
                  {passage && (
                    <span
                      className={`${styles.bracket} ${styles[passage.state]} ${
                        passage.fromBar === number ? styles.opens : ""
                      } ${passage.toBar === number ? styles.closes : ""}`}
                    >
                      {passage.fromBar === number && (
                        <span className={styles.bracketLabel}>{passage.label}</span>
                      )}
                    </span>
                  )}
                </span>
              );
            })}
          </span>
        );
      })}
    </div>
  );
}
