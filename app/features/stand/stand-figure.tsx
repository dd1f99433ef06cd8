import { useMemo } from "react";
import { BeatUnitGlyph, TempoText } from "~/components/beat-unit";
import { Press } from "~/components/press";
import { musicOf, stepsFrom } from "~/components/rung-lane";
import { Staircase, type Step } from "~/components/staircase";
import type { RuleProgress } from "~/core/gate";
import { natureOf, staircase, type Task } from "~/core/ladder";
import {
  breatheNow,
  currentBlock,
  layerNow,
  nextTempo,
  partNow,
  partsOf,
  progressNow,
  rungNow,
  secondsOfRung,
  type Block,
  type BlockState,
  type StandState,
} from "~/core/session";
import { soundingStand } from "~/core/transport";
import { convertTempo, type Bpm } from "~/core/units";
import { words } from "~/words/stand-words";
import { StandBars, type StandBarsProps } from "./stand-bars";
import { useStand } from "./stand-context";
import { Trying } from "./trying";
import { useKeptChoice } from "./use-kept-choice";
import styles from "./stand-figure.module.css";

const TALL = 360;
const FLAT = 190;

/**
 * What lies below today's start, passed on other days or left out; only a plain rise has such a
 * thing.
 */
function belowToday(plan: Block, lowest: number): Step[] {
  const phase = plan.ladder.phases[plan.place.phase]!;
  const nature = natureOf(phase.school.name);
  if (plan.ladder.phases.length > 1 || nature.tempo !== "rises" || nature.daily) return [];
  const all = staircase(plan.ladder, { start: plan.ladder.start, bars: plan.bars });
  if (all.some(({ segment, stage }) => segment !== undefined || stage > 0)) return [];
  const below = all.filter((rung) => rung.tempo < lowest);
  const steps = stepsFrom(below, (rung) => secondsOfRung(plan, rung), musicOf(plan));
  const passed = new Set(plan.passedTempi);
  return steps.map((step): Step => ({
    ...step,
    status: passed.has(step.tempo) ? "passed" : "left-out",
  }));
}

function useSteps(plan: Block, { rungs, passed, rung: now, toppedOut }: BlockState): Step[] {
  const below = useMemo(() => belowToday(plan, rungs[0]!.tempo), [plan, rungs]);
  const drawn = useMemo(
    () => stepsFrom(rungs, (rung) => secondsOfRung(plan, rung), musicOf(plan)),
    [plan, rungs],
  );
  return useMemo(() => {
    const done = new Set(passed.map(({ rung }) => rung));
    const today = drawn.map((step, i): Step => {
      if (i === now && !toppedOut) return { ...step, status: "now" };
      return { ...step, status: done.has(i) ? "passed" : "ahead" };
    });
    return [...below, ...today];
  }, [below, drawn, passed, now, toppedOut]);
}

/** The number, what is played, the count, the staircase, and the bars. */
export function StandFigure(props: StandBarsProps) {
  const { view, send, position } = useStand();
  const { stand: state, trying } = view;
  const { plan, state: block } = currentBlock(state);
  const tempo = nextTempo(soundingStand(view));
  const hidden = plan.ladder.hidden && !block.toppedOut;
  const steps = useSteps(plan, block);
  // In a cycle the number is that of the play that is heard.
  const heard = position?.bar.part === "play" ? position.bar : undefined;
  const sounding = heard?.tempo ?? tempo;
  const { parts } = progressNow(block);
  const breathe = trying ? undefined : breatheNow(state);
  // The slow play at the end opens no gate.
  const slow = state.endingWell !== undefined;
  const goal = partNow(state).said?.goalTempo ?? undefined;
  const goalReached =
    goal !== undefined && block.passed.some(({ tempo: passed }) => passed >= goal);
  const top = steps.reduce((most, step) => Math.max(most, step.top ?? step.tempo), 0);
  return (
    <>
      <section className={styles.tempo} aria-live="polite">
        <WhatToPlay plan={plan} block={block} task={layerNow(state)} hidden={hidden} />
        {hidden ? (
          <p className={styles.veil}>{words.stand.hiddenTempo}</p>
        ) : (
          <p className={styles.number}>
            <span className={styles.unit}>
              <BeatUnitGlyph unit={heard?.unit ?? plan.beatUnit} />
            </span>
            <span data-testid="tempo">{Math.round(sounding)}</span>
          </p>
        )}
        {!hidden && <FullTempo plan={plan} tempo={tempo} />}
        {trying && <Trying plan={plan} trying={trying} />}
        {slow || trying
          ? null
          : parts.map((part, i) => (
              <Count
                key={part.rule.kind}
                progress={part}
                also={i > 0}
                cycles={rungNow(block).cycle !== undefined}
              />
            ))}
        {breathe && (
          <p className={styles.breathe} data-testid="breathe">
            {breathe}
          </p>
        )}
        {!slow && !breathe && <CleanToday state={state} />}
        {!slow && parts.some(({ rule, passed }) => rule.kind === "easy" && !passed) && (
          <Press kind="outlined" onClick={() => send({ kind: "ease" })}>
            {words.stand.easy}
          </Press>
        )}
      </section>
      <section className={styles.stairs}>
        <p className={styles.rung}>
          {state.endingWell === undefined
            ? words.stand.rung(block.rung + 1, block.rungs.length)
            : words.stand.slowOne(partsOf(state.plan).length - state.part - 1)}
        </p>
        {goalReached && !slow && (
          <p className={styles.goal} role="status">
            {words.stand.goalReached}
          </p>
        )}
        {/* One for wide stands, a flatter one for narrow ones; the style shows either. */}
        {[TALL, FLAT].map((height) => (
          <div key={height} className={height === TALL ? styles.tall : styles.flat}>
            <Staircase
              steps={steps}
              target={Math.max(plan.ladder.target, top)}
              of={plan.ladder.of}
              goal={goal}
              hidden={hidden}
              height={height}
              large
            />
          </div>
        ))}
      </section>
      <StandBars {...props} />
    </>
  );
}

/** Over several tempi: the share of the full ones, and what that is in each region. */
function FullTempo({ plan, tempo }: { plan: Block; tempo: number }) {
  const { of } = plan.ladder;
  const { tempi = [] } = plan;
  const [first] = tempi;
  if (of === null || !first) return null;
  // The tempo is told in the passage's own unit; a region's follows in proportion.
  const share = tempo / convertTempo(first.bpm as Bpm, first.unit, plan.beatUnit);
  return (
    <p className={styles.regions}>
      <strong>{words.stand.ofFull(words.staircase.tempo(tempo, of))}</strong>
      {tempi.map(({ fromBar, unit, bpm }, index) => (
        <span key={fromBar}>
          {index > 0 && words.stand.fromBar(fromBar)}
          <TempoText unit={unit} bpm={Math.round(bpm * share)} />
        </span>
      ))}
    </p>
  );
}

/** Letters from which a name is set smaller, so that it stays within two lines on a phone. */
const LONG_TASK = 16;

/** A layer, a note value, a cycle: what is done, large, where it is not simply playing. */
function WhatToPlay(props: {
  plan: Block;
  block: BlockState;
  task: Task | undefined;
  hidden: boolean;
}) {
  const { plan, block, task, hidden } = props;
  const { cycle, links } = rungNow(block);
  const fast = cycle && (plan.ladder.hidden && hidden ? undefined : cycle.fastTempo);
  return (
    <>
      {task && (
        <p
          className={styles.task}
          data-testid="task"
          data-long={words.task(task).length > LONG_TASK || undefined}
        >
          {words.task(task)}
        </p>
      )}
      {cycle && (
        <p className={styles.cycle}>
          {fast === undefined
            ? words.stand.cycleHidden(cycle.slow, cycle.fast)
            : words.stand.cycle(cycle.slow, Math.round(block.tempo), cycle.fast, fast)}
        </p>
      )}
      {links && links.of > 1 && (
        <p className={styles.cycle} data-testid="links">
          {words.capital(words.links(links))}
        </p>
      )}
      {block.extent === "context" && <p className={styles.cycle}>{words.stand.context}</p>}
    </>
  );
}

/** How many plays of this passage were clean today, folded away where nobody wants to know. */
function CleanToday({ state }: { state: StandState }) {
  const [shown, show] = useKeptChoice("fidus-clean-today", true);
  const judged = state.plays.filter(
    (play) => play.blockIndex === state.blockIndex && play.verdict && !play.endingWell,
  );
  if (judged.length === 0) return null;
  const clean = judged.filter(({ verdict }) => verdict === "clean").length;
  const { stand } = words;
  return (
    <button
      type="button"
      className={styles.cleanToday}
      aria-expanded={shown}
      {...(shown ? { title: stand.hideCleanToday } : { "aria-label": stand.showCleanToday })}
      onClick={() => show(!shown)}
    >
      {shown ? stand.cleanToday(clean, judged.length) : "…"}
    </button>
  );
}

const MOST_DRAWN = 12;
const DRAWN = new Set(["in-a-row", "in-all", "of-last", "played", "clock-plays"]);

/** Plays counted towards a rule: a row of noteheads that fill. */
function Count(props: { progress: RuleProgress; also: boolean; cycles: boolean }) {
  const { progress, also, cycles } = props;
  const { rule, count, needed } = progress;
  return (
    <p className={`${styles.count} ${also ? styles.also : ""}`}>
      {DRAWN.has(rule.kind) && needed <= MOST_DRAWN && !also && (
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
        {also && `${words.and} `}
        <strong {...(also ? {} : { "data-testid": "count" })}>
          {words.stand.count(count, needed, rule.kind)}
        </strong>{" "}
        {words.stand.gate(rule, cycles)}
      </span>
    </p>
  );
}
