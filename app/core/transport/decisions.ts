import {
  betweenPlays,
  endWellTempo,
  isLastPart,
  redrawnFrom,
  taskNow,
  tempoBelow,
  tryOf,
  type EventKind,
  type Payload,
  type Try,
} from "~/core/session";
import { natureOf, type Ladder } from "~/core/ladder";
import { tempo as tempoFrom } from "~/core/units";
import { endNow, judgeNow, rest, restart, settle, staysAsItWas } from "./judging";
import { endAtBarLine, follow, playFrom, playsOnInTime, silence } from "./loops";
import { BREAK_SECONDS, NERVOUS_MS, nudgeOf, REST_SECONDS } from "./pace";
import { openByClock } from "./in-time";
import { undoableNow } from "./possible";
import { canPlayOn, endsFlawed, questionOf } from "./question";
import type { Turn } from "./turn";

/** Starts, or goes on after a pause or a reload; where there is no sound yet, as soon as it is there. */
export function start(turn: Turn): void {
  const { ready, stand, transport, sound } = turn.state;
  // A second press finds the loop running and must not lay another one over it.
  if (!ready || stand.ended || transport !== "stopped") return;
  turn.do({ kind: "open-sound" });
  if (sound === "open") return startNow(turn);
  turn.set({ sound: "opening" });
}

/** There is sound, and a press has asked for it. */
export function startNow(turn: Turn): void {
  const { events, stand, transport } = turn.state;
  if (stand.ended || transport !== "stopped") return;
  if (events.length === 0) turn.write("opened", {});
  if (turn.stand.resting) turn.write("rest-ended", {});
  if (taskNow(turn.stand) && turn.stand.endingWell === undefined) return;
  if (turn.stand.pending) return turn.go("asking");
  if (canPlayOn(turn.stand)) playFrom(turn, 0);
}

export function pause(turn: Turn): void {
  const { transport } = turn.state;
  if (transport === "stopped" || transport === "resting") return;
  silence(turn);
  turn.go(turn.stand.pending ? "asking" : "stopped");
}

/** The bar of the keyboard: starts and stops; where something is asked, it goes on. */
export function toggle(turn: Turn): void {
  const { transport } = turn.state;
  if (transport === "count-in" || transport === "play" || transport === "breather") {
    return pause(turn);
  }
  const question = questionOf(turn.state);
  if (question === undefined) return start(turn);
  if (question !== "verdict") return forward(turn);
  if (transport === "stopped") return start(turn);
  // No verdict is given: it stays without one, and the next begins.
  turn.do({ kind: "stop-waiting" });
  if (canPlayOn(turn.stand)) restart(turn);
}

/** A second press right after a verdict is a nervous foot, not a decision. */
const justJudged = ({ at, state }: Turn): boolean => at - state.judgedAt < NERVOUS_MS;

/** The pedal forward: clean, or whatever "go on" means where the stand asks something. */
export function forward(turn: Turn): void {
  const { transport } = turn.state;
  const question = questionOf(turn.state);
  if (question === "task") return taskDone(turn);
  if (question === "verdict") {
    const tries = turn.state.heard?.tried && turn.stand.pending === undefined;
    if (transport === "play" && tries) return tryOut(turn, false);
    return transport === "stopped" ? start(turn) : judgeNow(turn, "clean");
  }
  if (justJudged(turn)) return;
  // What is tried has no end of its own: on with what counts.
  if (question === undefined && turn.state.trying) return tryOut(turn, false);
  if (question === undefined && transport !== "stopped" && openByClock(turn.stand)) {
    return judgeNow(turn, "clean");
  }
  switch (question) {
    case "slow-end":
      return endWell(turn);
    case "rest":
      return endRest(turn);
    case "left":
      return moveOn(turn);
    case "top":
      return isLastPart(turn.stand) ? endWell(turn) : moveOn(turn);
    case "another-way":
      return answer(turn, "offer-declined", {});
    case "advice":
      return declineAdvice(turn);
    case undefined:
      if (transport === "stopped") return start(turn);
      if (transport === "breather") goOnAtBarLine(turn);
  }
}

/** Judged, and ready before the breather is over. */
function goOnAtBarLine(turn: Turn): void {
  if (!turn.state.next) return;
  endAtBarLine(turn);
  settle(turn);
}

/** The pedal back: flawed, or a rung lower where another way is offered. */
export function back(turn: Turn): void {
  const question = questionOf(turn.state);
  if (question === "verdict") {
    return turn.state.transport === "stopped" ? start(turn) : judgeNow(turn, "flawed");
  }
  if (justJudged(turn)) return;
  if (question === "another-way") {
    // Below the lowest there is only a rest.
    if (tempoBelow(turn.block.plan, turn.block.state) === undefined)
      return takeRest(turn, REST_SECONDS);
    return answer(turn, "lowered", { steps: 1 });
  }
  if (question === "advice") return heed(turn);
  if (question === undefined && openByClock(turn.stand)) judgeNow(turn, "flawed");
}

/** Takes the last decision back. A verdict taken back is asked for again. */
export function undo(turn: Turn): void {
  const last = undoableNow(turn.state);
  if (!last) return;
  turn.set({ leaving: false });
  turn.write("undone", { event: last.id });
  if (playsOnInTime(turn)) return follow(turn);
  const { transport, stand } = turn.state;
  if (questionOf(turn.state) === "task") {
    silence(turn);
    return turn.go("stopped");
  }
  if (stand.pending && !stand.resting && transport !== "breather") {
    silence(turn);
    return turn.go("asking");
  }
  if (!staysAsItWas(turn)) settle(turn);
}

/** Takes back that it hurt, for as long as nothing else has happened. */
export function slip(turn: Turn): void {
  const last = turn.state.events.at(-1);
  if (last?.kind === "ended" && last.payload.how === "pain")
    turn.write("undone", { event: last.id });
}

/** Writes a decision that changes what is played, and plays that. */
export function decide<K extends EventKind>(turn: Turn, kind: K, payload: Payload<K>): void {
  turn.write(kind, payload);
  settle(turn);
}

/** Answers what is asked, and goes on playing. */
export function answer<K extends EventKind>(turn: Turn, kind: K, payload: Payload<K>): void {
  decide(turn, kind, payload);
  startSoon(turn);
}

/** Plays on in a moment; where there is no sound yet, a press opens it. */
function startSoon(turn: Turn): void {
  if (turn.state.transport !== "stopped" || !canPlayOn(turn.stand)) return;
  if (turn.state.sound === "open") return restart(turn);
  start(turn);
}

export function toTempo(turn: Turn, bpm: number): void {
  const next = tempoFrom(bpm);
  const { trying } = turn.state;
  if (next.ok && trying) return tries(turn, { ...trying, tempo: next.value });
  if (next.ok) decide(turn, "tempo-set", { tempo: next.value });
}

export function nudge(turn: Turn, by: 1 | -1): void {
  const { trying } = turn.state;
  const from = trying?.tempo ?? turn.block.state.tempo;
  toTempo(turn, from + by * nudgeOf(turn.block.plan));
}

/** Plays are just tried from here on, or count again. */
export function tryOut(turn: Turn, on: boolean): void {
  if (on === (turn.state.trying !== undefined)) return;
  tries(turn, on ? tryOf(turn.stand) : undefined);
}

/** Other bars of the passage are tried. */
export function tryBars(turn: Turn, { fromBar, toBar }: Pick<Try, "fromBar" | "toBar">): void {
  const { trying } = turn.state;
  const { plan } = turn.block;
  const inside = fromBar >= plan.fromBar && toBar <= plan.toBar && fromBar <= toBar;
  if (trying && inside) tries(turn, { ...trying, fromBar, toBar });
}

function tries(turn: Turn, trying: Try | undefined): void {
  turn.set({ trying });
  if (!staysAsItWas(turn) && !turn.stand.pending) settle(turn);
}

/** Whether a ladder ends at its target, and not around a tempo. */
const hasTop = ({ phases }: Pick<Ladder, "phases">): boolean =>
  natureOf(phases[0]!.school.name).tempo !== "centres";

/** A tempo that was tapped: before anything was played, the ladder is drawn anew from it. */
export function tapped(turn: Turn, bpm: number): void {
  if (turn.state.trying) return toTempo(turn, bpm);
  const { plan } = turn.block;
  const { plays, blockIndex } = turn.stand;
  const tempo = tempoFrom(hasTop(plan.ladder) ? Math.min(bpm, plan.ladder.target) : bpm);
  const begun = plays.some((play) => play.blockIndex === blockIndex);
  if (begun || !tempo.ok) return toTempo(turn, bpm);
  decide(turn, "redrawn", redrawnFrom(plan, tempo.value));
}

export function pace(turn: Turn, set: Payload<"paced">): void {
  turn.write("paced", set);
  if (playsOnInTime(turn)) return follow(turn);
  const { transport } = turn.state;
  if (transport !== "play" && transport !== "count-in") settle(turn);
}

/** What was advised between plays: a break, or a rung lower. */
export function heed(turn: Turn): void {
  const advised = betweenPlays(turn.stand);
  if (!advised) return;
  if (advised.kind !== "break") return answer(turn, "lowered", { steps: 1 });
  turn.write("offer-declined", { of: "break" });
  takeRest(turn, BREAK_SECONDS);
}

export function declineAdvice(turn: Turn): void {
  const advised = betweenPlays(turn.stand);
  if (advised) answer(turn, "offer-declined", { of: advised.kind });
}

export function takeRest(turn: Turn, seconds: number): void {
  turn.write("rest-began", { seconds });
  rest(turn);
}

/** A rest is over by itself: only a press may open the sound. */
export function restOver(turn: Turn): void {
  if (!turn.stand.resting) return;
  silence(turn);
  turn.write("rest-ended", {});
  turn.go(turn.stand.pending ? "asking" : "stopped");
  if (turn.state.sound === "open") startSoon(turn);
}

export function endRest(turn: Turn): void {
  restOver(turn);
  startSoon(turn);
}

export function moveOn(turn: Turn): void {
  // A finger that taps twice means one part, not two.
  if (turn.at - turn.state.movedAt < NERVOUS_MS) return;
  turn.set({ movedAt: turn.at });
  if (turn.stand.endingWell !== undefined) return endNow(turn, "ended-well");
  silence(turn);
  turn.go("stopped");
  if (!turn.state.leaving && endsFlawed(turn.stand)) return turn.set({ leaving: true });
  turn.set({ leaving: false });
  if (isLastPart(turn.stand)) return endNow(turn, "finished");
  turn.set({ last: undefined });
  turn.write("moved-on", {});
}

/** A task is done; the first of a session is only begun. */
export function taskDone(turn: Turn): void {
  if (!taskNow(turn.stand)) return;
  if (turn.state.events.length === 0) return void turn.write("opened", {});
  silence(turn);
  turn.go("stopped");
  const last = isLastPart(turn.stand);
  turn.write("part-ended", { part: turn.stand.part });
  if (last) endNow(turn, "finished");
}

export function detail(turn: Turn, about: Omit<Payload<"detailed">, "play">): void {
  const play = turn.stand.detailable;
  if (!play) return;
  turn.write("detailed", { play, ...about });
  // Noted tension may ask for another way: what was to follow, or is being counted in, waits.
  if (playsOnInTime(turn)) return follow(turn);
  const { transport } = turn.state;
  const before = transport === "breather" || transport === "count-in";
  if (before && !canPlayOn(turn.stand)) settle(turn);
}

/** One slow play, then the end. */
export function endWell(turn: Turn): void {
  const slow = tempoFrom(endWellTempo(turn.stand));
  if (!slow.ok) return;
  silence(turn);
  turn.go("stopped");
  turn.set({ leaving: false });
  turn.write("end-well-began", { tempo: slow.value });
  start(turn);
}
