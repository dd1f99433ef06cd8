import { BeatUnitGlyph } from "~/components/beat-unit";
import { Staircase, type Step } from "~/components/staircase";
import { gateProgress } from "~/core/gate";
import { staircase } from "~/core/ladder";
import { currentBlock, nextTempo, secondsOfLoop } from "~/core/session";
import { words } from "~/words";
import { StandBars } from "./stand-bars";
import type { StandRunner } from "./runner";
import type { StandView } from "./view";
import type { Position } from "./use-stand";
import styles from "./stand-figure.module.css";

interface StandFigureProps {
  readonly view: StandView;
  readonly position: Position | undefined;
  readonly runner: StandRunner | undefined;
}

const TALL = 360;
const FLAT = 190;

/** The number, the count, the staircase, and the bars. */
export function StandFigure({ view, position, runner }: StandFigureProps) {
  const { state } = view;
  const { plan, state: block } = currentBlock(state);
  const tempo = nextTempo(state);
  const hidden = plan.ladder.hidden && !block.toppedOut;
  const progress = gateProgress(plan.ladder.gate, block.verdicts);
  const rungNumber = block.rungs.findLastIndex((rung) => rung.tempo <= block.tempo) + 1;
  // What lies below today's start was climbed on other days.
  const climbed = staircase(plan.ladder, plan.ladder.start)
    .filter((rung) => rung.tempo < plan.start)
    .map((rung): Step => ({
      tempo: rung.tempo,
      minutes: secondsOfLoop(plan, rung.tempo),
      status: "passed",
    }));
  const steps = block.rungs.map((rung): Step => {
    const passed = block.passed.includes(rung.tempo);
    const now = rung.tempo === block.tempo && !block.toppedOut;
    return {
      tempo: rung.tempo,
      minutes: secondsOfLoop(plan, rung.tempo),
      status: now ? "now" : passed ? "passed" : "ahead",
    };
  });
  return (
    <>
      <section className={styles.tempo} aria-live="polite">
        {hidden ? (
          <p className={styles.veil}>{words.stand.hiddenTempo}</p>
        ) : (
          <p className={styles.number}>
            <span className={styles.unit}>
              <BeatUnitGlyph unit={plan.beatUnit} />
            </span>
            <span data-testid="tempo">{Math.round(tempo)}</span>
          </p>
        )}
        <Count gate={words.stand.gate(plan.ladder.gate)} {...progress} />
      </section>
      <section className={styles.stairs}>
        <p className={styles.rung}>
          {state.endingWell === undefined
            ? words.stand.rung(Math.max(1, rungNumber), block.rungs.length)
            : words.stand.slowOne}
        </p>
        {/* One for wide stands, a flatter one for narrow ones; the style shows either. */}
        {[TALL, FLAT].map((height) => (
          <div key={height} className={height === TALL ? styles.tall : styles.flat}>
            <Staircase
              steps={[...climbed, ...steps]}
              target={plan.ladder.target}
              hidden={hidden}
              height={height}
              large
            />
          </div>
        ))}
      </section>
      <StandBars view={view} position={position} runner={runner} />
    </>
  );
}

const MOST_DRAWN = 12;

/** Plays counted towards the gate: a row of noteheads that fill. */
function Count({ gate, count, needed }: { gate: string; count: number; needed: number }) {
  return (
    <p className={styles.count}>
      {needed <= MOST_DRAWN && (
        <svg viewBox={`0 0 ${needed * 30} 26`} height="34" aria-hidden>
          {Array.from({ length: needed }, (_, i) => (
            <ellipse
              key={i}
              cx={15 + i * 30}
              cy={13}
              rx={10.5}
              ry={7.6}
              transform={`rotate(-22 ${15 + i * 30} 13)`}
              className={i < count ? styles.filled : styles.open}
            />
          ))}
        </svg>
      )}
      <span>
        <strong data-testid="count">{words.stand.count(count, needed)}</strong> {gate}
      </span>
    </p>
  );
}
