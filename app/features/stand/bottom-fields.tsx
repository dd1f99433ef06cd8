import { useEffect, useRef } from "react";
import type { MapBar } from "~/core/click";
import { currentBlock, rungNow, type StandState } from "~/core/session";
import { goesByClock, isInTime, isOnlyFinished, openByClock, questionOf } from "~/core/transport";
import { words } from "~/words/stand-words";
import { AnotherWay } from "./another-way";
import { BetweenAdvice } from "./between-advice";
import { BeatLight } from "./beat-light";
import { RestClock } from "./rest-clock";
import { LeftForToday, SlowEnd, TopReached } from "./top-reached";
import { useStand } from "./stand-context";
import type { StandView } from "./view";
import type { Position } from "./use-stand";
import { VerdictField } from "./verdict-field";
import styles from "./bottom-fields.module.css";

export /** Flawed on the left, what is going on in the middle, clean on the right. */
function BottomFields() {
  const { view, desk, send, usable, position } = useStand();
  const start = useRef<HTMLButtonElement>(null);
  // Whoever arrives can begin at once.
  useEffect(() => {
    if (usable && document.activeElement === document.body) start.current?.focus();
  }, [usable]);
  const { stand: state, transport } = view;
  const question = questionOf(view);
  if (question === "rest") return <RestClock resting={state.resting!} />;
  if (question === "slow-end") return <SlowEnd />;
  if (question === "top") return <TopReached />;
  if (question === "left") return <LeftForToday />;
  if (question === "advice") return <BetweenAdvice />;
  if (question === "another-way") {
    return <AnotherWay />;
  }

  const asked = state.pending !== undefined && transport !== "count-in";
  const playing = transport === "play";
  // Going on in time, what is asked about is the play before.
  const before = playing && asked;
  // What is on was decided while it plays: it can only be left.
  const finishing = isOnlyFinished(view);
  // By the clock, the last run may be marked at any time, and none has to be.
  const clock = goesByClock(state);
  // What is just tried is not judged.
  const tried = view.heard?.tried === true;
  const open = clock ? openByClock(state) !== undefined : playing && !tried;
  const canStart = transport === "stopped";
  return (
    <section className={styles.fields}>
      <VerdictField
        verdict="flawed"
        asked={asked}
        usable={usable && (asked || open)}
        says={open && playing && !before && !clock ? words.stand.stopHere : words.stand.flawed}
      />
      {canStart ? (
        <button
          ref={start}
          type="button"
          className={`${styles.middle} ${styles.start}`}
          disabled={!usable}
          onClick={() => send({ kind: "start" })}
        >
          {view.ready
            ? view.events.length > 0
              ? words.stand.goOn
              : words.stand.start
            : words.stand.opening}
          {view.sound === "failed" && <small role="alert">{words.stand.noSound}</small>}
        </button>
      ) : (
        <div className={styles.middle}>
          <BeatLight position={position} />
          <span className={styles.phase} data-testid="phase">
            {phaseWord(view, position)}
          </span>
          {playing && waitsForTaps(state) && (
            <button
              type="button"
              className={styles.tap}
              onPointerDown={(event) => desk?.tap(event.timeStamp)}
            >
              {words.stand.tapAlong}
            </button>
          )}
        </div>
      )}
      <VerdictField
        verdict="clean"
        asked={asked}
        usable={usable && (asked || (open && !finishing))}
        says={view.early ? words.stand.earlyClean : words.stand.clean}
      />
    </section>
  );
}

const waitsForTaps = (state: StandState): boolean =>
  rungNow(currentBlock(state).state).gate.some(({ kind }) => kind === "timing");

function phaseWord(view: StandView, position: Position | undefined): string {
  const { stand: state, transport } = view;
  const { stand } = words;
  // Two verdicts were taken back: the earlier play is asked about first.
  if (transport === "asking" && state.alsoPending) return stand.playBefore;
  if (transport === "breather" && !state.pending) return stand.phase.judged;
  if (transport === "count-in" && position) return countInWord(position.bar);
  if (transport === "play" && position) {
    if (isInTime(state) && state.pending) return stand.playBefore;
    if (isOnlyFinished(view)) return stand.finishing;
    return playWord(state, position.bar);
  }
  return stand.phase[transport];
}

function countInWord({ part, number, of }: MapBar): string {
  const { stand } = words;
  if (part === "inner") return stand.inner;
  return stand.countInBar(part === "lead" ? of : number, of);
}

/** The bar, and in a cycle the pace, with the next one announced before it comes. */
function playWord(state: StandState, bar: MapBar): string {
  const { stand } = words;
  const { part, number, pace, go, tempo, then, turn } = bar;
  if (turn) return stand.playTurn(turn.number, turn.of);
  const { fromBar } = currentBlock(state).state.segment;
  if (pace === "steady") {
    return part === "lead" && number < fromBar ? stand.pickup : stand.playBar(number);
  }
  const { hidden } = currentBlock(state).plan.ladder;
  const told = stand.paceOf(stand.pace[pace]!, go.number, go.of);
  const now = hidden ? told : stand.paceNow(told, tempo);
  return then && then !== pace ? stand.paceNext(stand.pace[then]!) : now;
}
