import { useRef } from "react";
import { fieldOf, percent, stretchOf } from "~/features/notation/places";
import { Signs, System } from "~/features/notation/system";
import { useSize } from "~/features/notation/use-size";
import type { Segment } from "~/core/ladder";
import { usualBeatUnit, type BarBox, type EngravedSystem } from "~/core/score";
import { flawedPlay } from "~/core/transport";
import { barsWithAround, currentBlock, heardSegment } from "~/core/session";
import { beatUnitValue, type Metre } from "~/core/units";
import { words } from "~/words/stand-words";
import { notationWords } from "~/words/notation";
import { pageShown } from "./pages";
import type { PassageMusic } from "./music";
import { useStand } from "./stand-context";
import { usePassageNotes } from "./use-passage-notes";
import type { HiddenNotes } from "./use-by-heart";
import styles from "./stand-notes.module.css";

interface StandNotesProps {
  readonly music: PassageMusic;
  /** What of them is hidden, for playing from memory. */
  readonly hidden: HiddenNotes;
  /** How many bars are, where they become more from day to day. */
  readonly hiddenBars: number;
}

/** The music to play; the bar that is heard is marked. After a flawed play, a tap says where. */
export function StandNotes({ music, hidden, hiddenBars }: StandNotesProps) {
  const { view, send, position } = useStand();
  const { stand: state } = view;
  const { plan, state: block } = currentBlock(state);
  const segment = heardSegment(plan, block.segment);
  const ref = useRef<HTMLDivElement>(null);
  const size = useSize(ref);
  const inContext = block.extent === "context";
  const bars = inContext ? barsWithAround(plan) : plan.bars;
  const { away, signs, pages } = usePassageNotes(music, plan, size, inContext);
  const here = position?.bar.part === "play" ? position.bar.number : undefined;
  const page = pages[pageShown(pages, here ?? block.segment.fromBar)] ?? [];

  const metreOf = (bar: number) => bars.find(({ number }) => number === bar)?.metre;
  const flawed = flawedPlay(state);
  const overBar = (box: BarBox) => (
    <OverBar
      key={box.bar}
      box={box}
      unit={metreOf(box.bar)?.unit ?? 4}
      firstBeat={firstBeatOf(metreOf(box.bar))}
      label={box.bar === 0 ? notationWords.pickup : (music.labels[box.bar] ?? String(box.bar))}
      segment={segment}
      pickupBeats={plan.pickupBeats}
      hidden={hidden}
      covered={isCovered(hidden, box.bar - plan.fromBar, hiddenBars)}
      here={here === box.bar}
      flawed={flawed ? flawed.bar === box.bar : undefined}
      onWhere={() => send({ kind: "detail", about: { bar: box.bar } })}
    />
  );
  return (
    <div
      ref={ref}
      className={styles.notes}
      data-hidden={hidden === "none" ? undefined : hidden}
      data-only={music.only}
      role="group"
      aria-label={words.bars(block.segment.fromBar, block.segment.toBar)}
    >
      {signs !== undefined && <Signs signs={signs} />}
      {page.map((system: EngravedSystem) => (
        <System key={system.bars[0]?.bar ?? 0} system={system} highest={size?.height}>
          {system.bars.map(overBar)}
        </System>
      ))}
      {signs === undefined && (
        <p className={styles.away} role="status">
          {away ? notationWords.away : notationWords.coming}
        </p>
      )}
      {pages.length > 1 && (
        <p className={styles.more}>{notationWords.page(pages.indexOf(page) + 1, pages.length)}</p>
      )}
    </div>
  );
}

/** A group of an unequal metre, a dotted beat, or a beat. */
function firstBeatOf(metre: Metre | undefined): number {
  if (!metre) return 1 / 4;
  const { groups, unit } = metre;
  return groups ? groups[0]! / unit : beatUnitValue(usualBeatUnit(metre));
}

/** Whether something of a bar is hidden, by its place in the passage. */
function isCovered(hidden: HiddenNotes, index: number, hiddenBars: number): boolean {
  switch (hidden) {
    case "none":
      return false;
    case "alternate":
      return index % 2 !== 0;
    case "more-each-day":
      return index >= 0 && index < hiddenBars;
    case "after-first-beat":
    case "all":
      return true;
  }
}

/** What hides the notes of a bar, or what comes after its first beat. */
function Cover({ box, firstBeat, hidden, covered: isHidden }: OverBarProps) {
  if (!isHidden) return null;
  const covered = hidden === "after-first-beat" ? stretchOf(box, firstBeat, Infinity) : box;
  return (
    <span
      className={styles.cover}
      style={{
        left: percent((covered.left - box.left) / box.width),
        width: percent(covered.width / box.width),
      }}
    />
  );
}

interface OverBarProps {
  readonly box: BarBox;
  /** The lower number of its metre. */
  readonly unit: number;
  /** How long its first beat lasts, in whole notes. */
  readonly firstBeat: number;
  readonly label: string;
  readonly segment: Segment;
  readonly pickupBeats: number;
  readonly hidden: HiddenNotes;
  /** Whether its notes are hidden, all of them or what comes after its first beat. */
  readonly covered: boolean;
  readonly here: boolean;
  /** Whether the flawed play failed here; undefined when nothing is asked. */
  readonly flawed: boolean | undefined;
  readonly onWhere: () => void;
}

function OverBar(props: OverBarProps) {
  const { box, unit, label, segment, pickupBeats, here, flawed, onWhere } = props;
  const { fromBar, toBar, startBeat, endBeats } = segment;
  const inside = box.bar >= fromBar && box.bar <= toBar;
  const leadsIn = box.bar === fromBar - 1 && pickupBeats > 0;
  const from = box.bar === fromBar ? startBeat / unit : 0;
  const to = box.bar === toBar && endBeats > 0 ? endBeats / unit : Infinity;
  const part = from > 0 || to < Infinity ? stretchOf(box, from, to) : box;
  const place = fieldOf(box);
  const classes = [
    styles.bar,
    props.hidden === "none" ? "" : styles.covered,
    inside || leadsIn ? "" : styles.outside,
    here ? styles.here : "",
    flawed ? styles.where : "",
  ].join(" ");
  const content = (
    <>
      <span className={styles.label}>{label}</span>
      <span className={styles.field} />
      <Cover {...props} />
      {inside && part !== box && (
        <span
          className={styles.share}
          style={{
            left: percent((part.left - box.left) / box.width),
            width: percent(part.width / box.width),
          }}
        />
      )}
    </>
  );
  return flawed !== undefined && inside ? (
    <button
      type="button"
      className={classes}
      style={place}
      aria-label={words.bars(box.bar, box.bar)}
      aria-pressed={flawed}
      onClick={onWhere}
    >
      {content}
    </button>
  ) : (
    <span className={classes} style={place} data-here={here || undefined}>
      {content}
    </span>
  );
}
