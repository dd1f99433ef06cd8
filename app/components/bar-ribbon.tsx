import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { metreAt, type MetreRegion, type PassageState } from "~/core/score";
import { barLength, formatMetre } from "~/core/units";
import { words } from "~/words/stand-words";
import { lanesOf } from "./bar-lanes";
import styles from "./bar-ribbon.module.css";

export interface BarRange {
  readonly fromBar: number;
  readonly toBar: number;
}

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
  readonly selection?: BarRange | undefined;
  /** When given, bars can be chosen: by dragging, or with the arrow keys (Shift extends). */
  readonly onSelect?: (range: BarRange) => void;
}

const WIDTH_PER_WHOLE = 62;
const NARROWEST = 38;
const widthOf = (wholes: number) => Math.max(NARROWEST, wholes * WIDTH_PER_WHOLE);

/** The bars of a piece as a ribbon of staff lines; passages hang below it as brackets. */
export function BarRibbon(props: BarRibbonProps) {
  const { bars, firstBar = 1, metres, pickupBeats = 0, passages = [], flaws = {} } = props;
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
            aria-label={words.barRibbon.bar(number, flawed)}
            data-bar={number}
            className={`${styles.bar} ${chosen ? styles.chosen : ""}`}
            style={{ width: widthOf(barLength(metre)) }}
            {...(onSelect ? selecting.bar(number) : {})}
          >
            <span className={styles.number}>{number}</span>
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

const barUnder = (event: PointerEvent): number | undefined => {
  const under = document.elementFromPoint(event.clientX, event.clientY);
  const bar = under?.closest<HTMLElement>("[data-bar]")?.dataset.bar;
  return bar === undefined ? undefined : Number(bar);
};

function useBarSelection(
  first: number,
  last: number,
  selection: BarRange | undefined,
  onSelect: ((range: BarRange) => void) | undefined,
) {
  const anchor = useRef<number | undefined>(undefined);
  const [focused, setFocused] = useState(first);

  const extend = (to: number) => {
    const from = anchor.current ?? to;
    onSelect?.({ fromBar: Math.min(from, to), toBar: Math.max(from, to) });
  };
  const begin = (at: number) => {
    anchor.current = at;
    extend(at);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const by = { ArrowRight: 1, ArrowLeft: -1, Home: first - focused, End: last - focused }[
      event.key
    ];
    if (by === undefined) return;
    event.preventDefault();
    const to = Math.min(last, Math.max(first, focused + by));
    setFocused(to);
    if (event.shiftKey) extend(to);
    else begin(to);
    event.currentTarget.querySelector<HTMLElement>(`[data-bar="${to}"]`)?.focus();
  };

  return {
    container: onSelect ? { onKeyDown } : {},
    bar: (number: number) => ({
      tabIndex: number === focused ? 0 : -1,
      onFocus: () => setFocused(number),
      onPointerDown: (event: PointerEvent<HTMLElement>) => {
        if (event.button !== 0) return;
        setFocused(number);
        if (event.shiftKey && selection) extend(number);
        else begin(number);
      },
      onPointerMove: (event: PointerEvent<HTMLElement>) => {
        if (event.buttons !== 1) return;
        const under = barUnder(event);
        if (under !== undefined) extend(under);
      },
    }),
  };
}
