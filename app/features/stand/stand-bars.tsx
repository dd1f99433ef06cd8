import { lazy, Suspense } from "react";
import { Press } from "~/components/press";
import type { Segment } from "~/core/ladder";
import { flawedPlay } from "~/core/transport";
import { barsWithAround, currentBlock, FLAWS, heardSegment } from "~/core/session";
import { barLength, formatMetre } from "~/core/units";
import { words } from "~/words/stand-words";
import { ByHeartChoice } from "./by-heart-choice";
import type { PassageMusic } from "./music";
import { useStand } from "./stand-context";
import type { ByHeart } from "./use-by-heart";
import styles from "./stand-bars.module.css";

export interface StandBarsProps {
  /** The notes of the passage, where it has any. */
  readonly music: PassageMusic | undefined;
  readonly notesShown: boolean;
  readonly onNotesShown: (shown: boolean) => void;
  readonly byHeart: ByHeart;
}

// What draws notes is loaded where there are notes.
const StandNotes = lazy(() =>
  import("./stand-notes").then(({ StandNotes }) => ({ default: StandNotes })),
);

/** Where in a bar the part begins and ends, when it is not all of it. */
function shareOfBar({ fromBar, toBar, startBeat, endBeats }: Segment, bar: number, beats: number) {
  const from = bar === fromBar ? startBeat / beats : 0;
  const to = bar === toBar && endBeats > 0 ? endBeats / beats : 1;
  if (from === 0 && to === 1) return undefined;
  return { left: `${from * 100}%`, right: `${(1 - to) * 100}%` };
}

/** What is played, in notes or as a row of bars; below it, after a flawed play, what went wrong. */
export function StandBars(props: StandBarsProps) {
  const { music, notesShown, onNotesShown, byHeart } = props;
  const { view } = useStand();
  const { stand: state } = view;
  const { state: block } = currentBlock(state);
  const flawed = flawedPlay(state);
  const { segment, extent } = block;
  // Whoever has just made it smaller has told enough of the play before.
  const madeSmaller =
    extent === "narrowed" &&
    (flawed?.fromBar !== segment.fromBar || flawed.toBar !== segment.toBar);
  const row = <BarRow />;
  return (
    <section className={`${styles.bars} ${music && notesShown ? styles.withNotes : ""}`}>
      {music && notesShown ? (
        <Suspense fallback={<div />}>
          <StandNotes music={music} hidden={byHeart.hidden} hiddenBars={byHeart.hiddenBars} />
        </Suspense>
      ) : (
        row
      )}
      <div className={styles.below}>
        {madeSmaller ? (
          <span>{words.stand.narrowedTo(words.bars(segment.fromBar, segment.toBar))}</span>
        ) : flawed ? (
          <Telling flawed={flawed} />
        ) : null}
        {music && notesShown && !flawed && <ByHeartChoice byHeart={byHeart} />}
        {music && (
          <span className={styles.fold}>
            <Press size="small" onClick={() => onNotesShown(!notesShown)}>
              {notesShown ? words.stand.hideNotes : words.stand.showNotes}
            </Press>
          </span>
        )}
      </div>
    </section>
  );
}

interface TellingProps {
  readonly flawed: NonNullable<ReturnType<typeof flawedPlay>>;
}

/** Where the last play failed, and what it was. */
function Telling({ flawed }: TellingProps) {
  const { send } = useStand();
  return (
    <div className={styles.telling}>
      {flawed.bar === undefined ? <span>{words.stand.where}</span> : <Beats flawed={flawed} />}
      {FLAWS.map((what) => (
        <Press
          key={what}
          size="small"
          kind={flawed.what === what ? "filled" : "outlined"}
          aria-pressed={flawed.what === what}
          onClick={() => send({ kind: "detail", about: { what } })}
        >
          {words.flaw[what]}
        </Press>
      ))}
    </div>
  );
}

/** On which beat of the bar that was told it failed. */
function Beats({ flawed }: TellingProps) {
  const { view, send } = useStand();
  const bars = barsWithAround(currentBlock(view.stand).plan);
  const told = bars.find(({ number }) => number === flawed.bar);
  if (!told) return null;
  const { number: bar, metre } = told;
  return (
    <span role="group" aria-label={words.stand.onBeat} className={styles.beats}>
      {words.stand.onBeat}{" "}
      {Array.from({ length: metre.beats }, (_, i) => i + 1).map((beat) => (
        <Press
          key={beat}
          size="small"
          kind={flawed.beat === beat ? "filled" : "outlined"}
          aria-pressed={flawed.beat === beat}
          onClick={() => send({ kind: "detail", about: { bar, beat } })}
        >
          {beat}
        </Press>
      ))}
    </span>
  );
}

/** The bars to play; the one that is heard is marked. After a flawed play, a tap says where. */
function BarRow() {
  const { view, send, position } = useStand();
  const { stand: state } = view;
  const { plan, state: block } = currentBlock(state);
  const flawed = flawedPlay(state);
  const here = position?.bar.part === "play" ? position.bar.number : undefined;
  const { segment, extent } = block;
  const bars = extent === "context" ? barsWithAround(plan) : plan.bars;
  return (
    <ol className={styles.ribbon} aria-label={words.bars(segment.fromBar, segment.toBar)}>
      {bars.map(({ number, metre }, i) => {
        const inside = number >= segment.fromBar && number <= segment.toBar;
        const before = bars[i - 1]?.metre;
        const newMetre = !before || formatMetre(before) !== formatMetre(metre);
        const classes = [
          styles.bar,
          inside ? "" : styles.outside,
          here === number ? styles.here : "",
          flawed?.bar === number ? styles.where : "",
        ].join(" ");
        const share = shareOfBar(heardSegment(plan, segment), number, metre.beats);
        const content = (
          <>
            {inside && share && <span className={styles.share} style={share} aria-hidden />}
            <span className={styles.barNumber}>{number}</span>
            {newMetre && <span className={styles.metre}>{formatMetre(metre)}</span>}
          </>
        );
        return (
          <li key={number} style={{ flexGrow: barLength(metre) }}>
            {flawed && inside ? (
              <button
                type="button"
                className={classes}
                aria-label={words.bars(number, number)}
                aria-pressed={flawed.bar === number}
                onClick={() => send({ kind: "detail", about: { bar: number } })}
              >
                {content}
              </button>
            ) : (
              <span className={classes}>{content}</span>
            )}
          </li>
        );
      })}
    </ol>
  );
}
