import { gateProgress, type Verdict } from "~/core/gate";
import { rungAbove, rungBelow, staircase } from "~/core/ladder";
import { unreachable } from "~/core/result";
import type { Payload, SessionEvent } from "./events";
import type { Block, SessionPlan } from "./plan";
import { currentBlock, type BlockState, type Play, type StandState } from "./state";

/** A longer gap between two events is time away from the stand and counts for nothing. */
const LONGEST_ACTIVE_GAP_SECONDS = 180;

function openBlock(block: Block): BlockState {
  return {
    rungs: staircase(block.ladder, block.start),
    tempo: block.start,
    fromBar: block.fromBar,
    toBar: block.toBar,
    verdicts: [],
    flawedOnRung: 0,
    passed: [],
    toppedOut: false,
    activeSeconds: 0,
  };
}

/** The stand before anything happened. */
export const initialState = (plan: SessionPlan): StandState => ({
  plan,
  blockIndex: 0,
  blocks: plan.blocks.map(openBlock),
  plays: [],
  notes: [],
});

function withBlock(state: StandState, change: Partial<BlockState>): StandState {
  const blocks = state.blocks.map((block, index) =>
    index === state.blockIndex ? { ...block, ...change } : block,
  );
  return { ...state, blocks };
}

const freshCount = { verdicts: [], flawedOnRung: 0 } as const;

/** Leaves out keys, so that "not there" stays different from "undefined". */
function without<K extends keyof StandState>(state: StandState, ...keys: K[]): Omit<StandState, K> {
  const out: ReadonlySet<string> = new Set(keys);
  const rest = Object.entries(state).filter(([key]) => !out.has(key));
  return Object.fromEntries(rest) as unknown as Omit<StandState, K>;
}

function passTime(state: StandState, at: number): StandState {
  const gap = state.lastAt === undefined ? 0 : (at - state.lastAt) / 1000;
  const active = gap > 0 && gap <= LONGEST_ACTIVE_GAP_SECONDS && !state.ended ? gap : 0;
  const { activeSeconds } = currentBlock(state).state;
  return { ...withBlock(state, { activeSeconds: activeSeconds + active }), lastAt: at };
}

function played(state: StandState, event: SessionEvent & { kind: "played" }): StandState {
  const { id, at, payload } = event;
  const play: Play = {
    id,
    at,
    blockIndex: state.blockIndex,
    endingWell: state.endingWell !== undefined,
    ...payload,
  };
  return { ...without(state, "detailable"), plays: [...state.plays, play], pending: id };
}

/** The gate has passed: from a narrowed range back to the whole passage, else up the staircase. */
function passGate(state: StandState): StandState {
  const { plan, state: block } = currentBlock(state);
  if (block.fromBar !== plan.fromBar || block.toBar !== plan.toBar) {
    return withBlock(state, { ...freshCount, fromBar: plan.fromBar, toBar: plan.toBar });
  }
  const passed = [...block.passed, block.tempo];
  const next = rungAbove(block.rungs, block.tempo);
  if (!next) return withBlock(state, { passed, toppedOut: true });
  const moved = withBlock(state, { ...freshCount, passed, tempo: next.tempo });
  const rest = plan.ladder.rest;
  return rest === 0 ? moved : { ...moved, resting: { since: state.lastAt!, seconds: rest } };
}

function count(state: StandState, play: Play, verdict: Verdict): StandState {
  const { plan, state: block } = currentBlock(state);
  const atThisRung =
    !play.endingWell && play.blockIndex === state.blockIndex && play.tempo === block.tempo;
  if (!atThisRung || block.toppedOut) return state;
  const verdicts = [...block.verdicts, verdict];
  const flawedOnRung = block.flawedOnRung + (verdict === "flawed" ? 1 : 0);
  const counted = withBlock(state, { verdicts, flawedOnRung });
  return gateProgress(plan.ladder.gate, verdicts).passed ? passGate(counted) : counted;
}

function judged(state: StandState, { play: id, verdict }: Payload<"judged">): StandState {
  // From the end: it is nearly always the latest play.
  const index = state.plays.findLastIndex((each) => each.id === id);
  const play = state.plays[index];
  if (!play || play.verdict) return state;
  const plays = state.plays.with(index, { ...play, verdict });
  const known = { ...without(state, "pending", "detailable"), plays };
  const open = verdict === "flawed" ? { ...known, detailable: id } : known;
  return count(open, play, verdict);
}

function detailed(state: StandState, { play: id, bar, what }: Payload<"detailed">): StandState {
  const add = { ...(bar === undefined ? {} : { bar }), ...(what === undefined ? {} : { what }) };
  const plays = state.plays.map((play) => (play.id === id ? { ...play, ...add } : play));
  return { ...state, plays };
}

function skipped(state: StandState): StandState {
  const { state: block } = currentBlock(state);
  const next = rungAbove(block.rungs, block.tempo);
  return next ? withBlock(state, { ...freshCount, tempo: next.tempo }) : state;
}

function lowered(state: StandState, steps: number): StandState {
  const { state: block } = currentBlock(state);
  const rung = rungBelow(block.rungs, block.tempo, steps);
  return rung ? withBlock(state, { ...freshCount, tempo: rung.tempo }) : state;
}

function narrowed(state: StandState, range: Payload<"narrowed">): StandState {
  const { plan } = currentBlock(state);
  const inside =
    range.fromBar >= plan.fromBar && range.toBar <= plan.toBar && range.fromBar <= range.toBar;
  return inside ? withBlock(state, { ...freshCount, ...range }) : state;
}

/** One event. `undone` is not among them: it is dealt with before, in {@link replay}. */
function step(state: StandState, event: Exclude<SessionEvent, { kind: "undone" }>): StandState {
  switch (event.kind) {
    case "opened":
      return state;
    case "played":
      return played(state, event);
    case "judged":
      return judged(state, event.payload);
    case "detailed":
      return detailed(state, event.payload);
    case "tempo-set":
      return withBlock(state, { ...freshCount, tempo: event.payload.tempo, toppedOut: false });
    case "repeated":
      return withBlock(state, { ...freshCount, toppedOut: false });
    case "skipped":
      return skipped(state);
    case "lowered":
      return lowered(state, event.payload.steps);
    case "narrowed":
      return narrowed(state, event.payload);
    case "offer-declined":
      return withBlock(state, { flawedOnRung: 0 });
    case "rest-began": {
      const resting = { since: event.at, seconds: event.payload.seconds };
      return { ...withBlock(state, { flawedOnRung: 0 }), resting };
    }
    case "rest-ended":
      return without(state, "resting");
    case "noted":
      return { ...state, notes: [...state.notes, event.payload.text] };
    case "moved-on": {
      const blockIndex = Math.min(state.blockIndex + 1, state.plan.blocks.length - 1);
      return { ...without(state, "pending", "detailable", "resting"), blockIndex };
    }
    case "end-well-began":
      return { ...without(state, "resting", "pending"), endingWell: event.payload.tempo };
    case "ended":
      return { ...without(state, "resting", "endingWell"), ended: event.payload.how };
    default:
      return unreachable(event);
  }
}

/** The events that still hold: what was undone is gone, unless the undoing itself was undone. */
export function effective(
  events: readonly SessionEvent[],
): Exclude<SessionEvent, { kind: "undone" }>[] {
  const cancelled = new Set<string>();
  for (const event of events.toReversed()) {
    if (event.kind === "undone" && !cancelled.has(event.id)) cancelled.add(event.payload.event);
  }
  return events.filter(
    (event): event is Exclude<SessionEvent, { kind: "undone" }> =>
      event.kind !== "undone" && !cancelled.has(event.id),
  );
}

/** The stand after all the events, in order of `seq`. */
export function replay(plan: SessionPlan, events: readonly SessionEvent[]): StandState {
  return effective(events).reduce(
    (state, event) => step(passTime(state, event.at), event),
    initialState(plan),
  );
}

/** The next state when one more event comes in; the same as replaying all of them. */
export function advance(
  state: StandState,
  earlier: readonly SessionEvent[],
  event: SessionEvent,
): StandState {
  if (event.kind === "undone") return replay(state.plan, [...earlier, event]);
  return step(passTime(state, event.at), event);
}

const NOT_UNDOABLE: ReadonlySet<SessionEvent["kind"]> = new Set(["opened", "played", "ended"]);

/** What "undo" would take back now: the latest decision, never a play itself. */
export const lastUndoable = (events: readonly SessionEvent[]): SessionEvent | undefined =>
  effective(events).findLast(({ kind }) => !NOT_UNDOABLE.has(kind));
