import { useMemo, useRef } from "react";
import { lanesOf } from "~/components/bar-lanes";
import type { RibbonPassage } from "~/components/bar-ribbon";
import { StateMark } from "~/components/state-mark";
import {
  useBarSelection,
  wholeBars,
  type BarRange,
  type BeatRange,
} from "~/components/use-bar-selection";
import type { BarBox, BarMarks, Within } from "~/core/score";
import { notationWords } from "~/words/notation";
import { Bands } from "./bands";
import { ChosenBeats } from "./chosen-beats";
import { Edges } from "./edges";
import type { BarsShown } from "./bars-shown";
import { fieldOf } from "./places";
import { Signs, System } from "./system";
import { systemWidth } from "./system-width";
import { useEngraving } from "./use-engraving";
import { useNoteDrag } from "./use-note-drag";
import { useSize } from "./use-size";
import styles from "./notation.module.css";

interface NotationProps {
  /** Where the engraved music is had; the width is put behind it. */
  readonly address: string;
  readonly bars: BarsShown;
  readonly passages: readonly RibbonPassage[];
  /** Flawed plays by bar. */
  readonly flaws: Readonly<Record<number, number>>;
  /** How well bars go, as they were touched. */
  readonly marks: BarMarks;
  readonly piece: Within;
  readonly selection: BeatRange | undefined;
  readonly onSelect: (range: BeatRange) => void;
  /** Whether a drag goes from note to note, instead of over whole bars. */
  readonly byNotes: boolean;
  /** Whether the beats at which the selection begins and ends can be moved. */
  readonly edges: boolean;
  /** Bars whose notes are hidden, to be played from memory. */
  readonly covered?: BarRange | undefined;
}

/** Staves are so high, in CSS px, on a desk and on a phone. */
const STAFF = { desk: 32, phone: 27 };
const PHONE_WIDTH = 600;

/** The score of a piece: drag over its bars to choose them; passages hang below as bands. */
export function Notation(props: NotationProps) {
  const { address, bars, passages, flaws, marks, piece, selection, onSelect } = props;
  const ref = useRef<HTMLDivElement>(null);
  const width = useSize(ref)?.width;
  const staff = width !== undefined && width < PHONE_WIDTH ? STAFF.phone : STAFF.desk;
  const asked = width && `${address}&width=${systemWidth(width, staff)}`;
  const { state, shown } = useEngraving(asked || undefined);
  const selecting = useBarSelection(bars.first, bars.last, selection, (range) =>
    onSelect(wholeBars(range)),
  );
  const boxes = useMemo(() => shown?.systems.flatMap((each) => each.bars) ?? [], [shown]);
  const notes = useNoteDrag(boxes, piece, onSelect);
  const lanes = useMemo(() => lanesOf(passages), [passages]);
  const most = Math.max(1, ...Object.values(flaws));

  const { covered } = props;
  const isCovered = ({ bar }: BarBox) =>
    covered !== undefined && bar >= covered.fromBar && bar <= covered.toBar;

  const overBar = (box: BarBox) => {
    const { bar: position } = box;
    const flawed = flaws[position] ?? 0;
    const mark = marks[position];
    const chosen = selection && position >= selection.fromBar && position <= selection.toBar;
    return (
      <span
        key={position}
        role="option"
        aria-selected={Boolean(chosen)}
        aria-label={bars.said(position) + notationWords.barGoes(mark, flawed)}
        className={isCovered(box) ? `${styles.bar} ${styles.covered}` : styles.bar}
        style={fieldOf(box)}
        {...(position > 0
          ? {
              "data-bar": position,
              ...selecting.bar(position),
              ...(props.byNotes ? notes : {}),
            }
          : {})}
      >
        <span className={styles.label}>
          {bars.label(position)} {mark && <StateMark state={mark} bare />}
        </span>
        {isCovered(box) && <span className={styles.cover} />}
        {flawed > 0 && (
          <>
            <span className={styles.flaws} style={{ opacity: 0.35 + (0.65 * flawed) / most }} />
            <span className={styles.tally}>×{flawed}</span>
          </>
        )}
        {selection && <ChosenBeats piece={piece} range={selection} box={box} />}
      </span>
    );
  };

  // A list of bars has bars in it: until they are drawn it is not one.
  const list = {
    role: "listbox",
    "aria-label": notationWords.choose,
    "aria-multiselectable": true,
    ...selecting.container,
  };

  return (
    <>
      <div
        ref={ref}
        className={styles.score}
        aria-busy={state === "coming"}
        {...(shown ? list : {})}
      >
        {shown ? (
          <>
            <Signs signs={shown.signs} />
            {shown.systems.map((system, index) => (
              <div key={index} role="presentation">
                <System system={system}>
                  {system.bars.map(overBar)}
                  {selection && props.edges && (
                    <Edges piece={piece} range={selection} boxes={system.bars} onMove={onSelect} />
                  )}
                </System>
                <Bands lanes={lanes} bars={system.bars} />
              </div>
            ))}
          </>
        ) : (
          <div className={styles.empty} />
        )}
      </div>
      {state !== "there" && (
        <p className={styles.note} role="status">
          {state === "away" ? notationWords.away : shown ? null : notationWords.coming}
        </p>
      )}
    </>
  );
}
