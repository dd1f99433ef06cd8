import { isByClock } from "~/core/gate";
import { clockMovedOn, counting, progressNow } from "./block";
import { withBlock, withDone, without } from "./changed";
import { anotherWay, count, isOfRung, moveOnUp } from "./counting";
import { withPlay, withVerdict } from "./done";
import type { Flaw, Payload, SessionEvent } from "./events";
import { shareOf } from "./extent";
import { fastTempo } from "./loop";
import { currentBlock, layerNow, rungNow, type Play, type StandState } from "./state";

/** The bars were played: a verdict is asked for, but by the clock. */
export function played(before: StandState, event: SessionEvent & { kind: "played" }): StandState {
  const { id, at } = event;
  const { spread, ...payload } = event.payload;
  const { plan, state: block } = currentBlock(before);
  const rung = rungNow(block);
  const task = layerNow(before);
  const endingWell = before.endingWell !== undefined;
  const play: Play = {
    id,
    at,
    blockIndex: before.blockIndex,
    rung: block.rung,
    top: endingWell ? payload.tempo : fastTempo(rung, payload.tempo),
    cycle:
      rung.cycle && !endingWell
        ? { base: payload.tempo, slow: rung.cycle.slow, fast: rung.cycle.fast }
        : undefined,
    share:
      (block.extent === "rung" && !endingWell ? rung.share : shareOf(plan, block.segment)) *
      plan.shareOfPassage *
      (payload.turns ?? 1),
    layer: task && !task.full ? task.name : undefined,
    key: task?.kind === "key" ? task.name : undefined,
    endingWell,
    ...payload,
    ...(spread === undefined ? {} : { measured: { ...NOT_TOLD, source: "taps", spread } }),
  };
  const clocked = isByClock(rung.gate) && !endingWell && !payload.uncounted;
  if (clocked) return playedByClock(before, { ...play, byClock: true as const });
  const state = withDone(before, before.blockIndex, (done) => withPlay(done, play));
  const plays = [...state.plays, play];
  // What only was finished is not asked about, and a rest begins after it.
  if (payload.uncounted) {
    const { resting } = state;
    return { ...state, plays, ...(resting ? { resting: { ...resting, since: at } } : {}) };
  }
  return { ...without(state, "detailable", "alsoPending"), plays, pending: id };
}

/** By the clock nothing is asked and nothing is passed: it goes on when the time has come. */
function playedByClock(before: StandState, play: Play): StandState {
  const known = withDone(before, before.blockIndex, (done) => withPlay(done, play));
  const state = { ...without(known, "detailable"), plays: [...before.plays, play] };
  const { plan, state: block } = currentBlock(state);
  if (!play.complete || !isOfRung(state, play) || block.toppedOut) return state;
  const { id, seconds, playing } = play;
  // Nobody has judged it: it is none of the clean ones.
  const counted = counting(block, { play: id, verdict: "flawed", seconds, playing });
  const kept = { ...counted, flawedOnRung: block.flawedOnRung };
  if (!progressNow(kept).passed) return withBlock(state, kept);
  const { rest } = rungNow(block);
  const next = withBlock(state, clockMovedOn(plan, kept));
  const goesOn = !currentBlock(next).state.toppedOut;
  return goesOn && rest > 0 ? { ...next, resting: { since: play.at, seconds: rest } } : next;
}

/** What an earlier form did not tell. */
const NOT_TOLD = { bias: null, met: null, missed: null, extra: null } as const;

/** How a play lay may be known before its verdict or after: then its gate looks at it again. */
export function measured(
  state: StandState,
  { play: id, source, bias, spread, met, ...told }: Payload<"measured">,
): StandState {
  const index = state.plays.findLastIndex((each) => each.id === id);
  const play = state.plays[index];
  if (!play) return state;
  const plays = state.plays.with(index, {
    ...play,
    measured: {
      ...{ source, bias, spread, met },
      missed: told.missed ?? null,
      extra: told.extra ?? null,
    },
  });
  const { state: block } = currentBlock(state);
  const at = block.counted.findLastIndex((each) => each.play === id);
  if (at < 0 || block.toppedOut) return { ...state, plays };
  const counted = block.counted.with(at, { ...block.counted[at]!, spread });
  const known = withBlock({ ...state, plays }, { ...block, counted });
  return progressNow(currentBlock(known).state).passed ? moveOnUp(known) : known;
}

/** The plays that wait for a verdict, in the order in which they are asked about. */
export const openPlays = ({ pending, alsoPending = [] }: StandState): readonly string[] =>
  pending === undefined ? [] : [pending, ...alsoPending];

/** Asks about these plays, one after the other; what was told of a flawed one is told. */
export function asking(state: StandState, [pending, ...also]: readonly string[]): StandState {
  const rest = without(state, "pending", "alsoPending", "detailable");
  if (pending === undefined) return rest;
  return { ...rest, pending, ...(also.length > 0 ? { alsoPending: also } : {}) };
}

/** A verdict; the first one holds. */
export function judged(state: StandState, { play: id, verdict }: Payload<"judged">): StandState {
  // From the end: it is nearly always the latest play.
  const index = state.plays.findLastIndex((each) => each.id === id);
  const play = state.plays[index];
  if (!play || play.verdict) return state;
  const plays = state.plays.with(index, { ...play, verdict });
  const done = withDone(state, play.blockIndex, (each) => withVerdict(each, play, verdict));
  const known = {
    ...asking(
      done,
      openPlays(done).filter((each) => each !== id),
    ),
    plays,
  };
  const open = verdict === "flawed" ? { ...known, detailable: id } : known;
  return count(open, play, verdict);
}

/** Where and what went wrong at a flawed play. */
export function detailed(
  state: StandState,
  { play: id, ...said }: Payload<"detailed">,
): StandState {
  const { bar, what } = said;
  const plays = state.plays.map((play) => {
    if (play.id !== id) return play;
    // A beat is one of its bar: another bar has not been told on a beat yet.
    const { beat, ...others } = play;
    const kept = beat !== undefined && (bar === undefined || bar === play.bar) ? play : others;
    return {
      ...kept,
      ...(bar === undefined ? {} : { bar }),
      ...(said.beat === undefined ? {} : { beat: said.beat }),
      ...(what === undefined ? {} : { what }),
    };
  });
  const told = notingTension({ ...state, plays }, id, what);
  // To cut around the flawed bars, one has to know them: now they may be known.
  const waits = currentBlock(state).plan.ladder.afterFlawed.then === "cut";
  return waits ? anotherWay(told) : told;
}

/** Tension at a play of the present rung is counted once. */
function notingTension(state: StandState, id: string, what: Flaw | undefined): StandState {
  const { state: block } = currentBlock(state);
  const play = state.plays.find((each) => each.id === id);
  if (what !== "tension" || play?.rung !== block.rung || play.blockIndex !== state.blockIndex) {
    return state;
  }
  const tense = state.plays.filter(
    (each) =>
      each.blockIndex === state.blockIndex && each.rung === block.rung && each.what === "tension",
  ).length;
  return withBlock(state, { ...block, tension: true, tense: Math.min(tense, block.tense + 1) });
}
