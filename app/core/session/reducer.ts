import { unreachable } from "~/core/result";
import {
  again,
  atTempo,
  firming,
  lowering,
  narrowing,
  openBlock,
  redrawn,
  skipping,
} from "./block";
import { answered } from "./between";
import { withBlock, without } from "./changed";
import { eased } from "./counting";
import type { SessionEvent } from "./events";
import { isLastPart, partsOf, taskNow } from "./parts";
import type { SessionPlan } from "./plan";
import { asking, detailed, judged, measured, openPlays, played } from "./playing";
import { currentBlock, playsAnything, type StandState } from "./state";
import { askedAgain, effective } from "./undone";

/** A longer gap between two events is time away from the stand and counts for nothing. */
const LONGEST_ACTIVE_GAP_SECONDS = 180;

/** The stand before anything happened. */
export const initialState = (plan: SessionPlan): StandState => ({
  plan,
  part: 0,
  blockIndex: 0,
  taskSeconds: {},
  blocks: plan.blocks.map(openBlock),
  plays: [],
  advised: {},
  notes: [],
  questions: [],
  ratings: {},
});

function passTime(state: StandState, at: number): StandState {
  const gap = state.lastAt === undefined ? 0 : (at - state.lastAt) / 1000;
  const task = taskNow(state);
  if (task && !state.ended) {
    // Nothing happens on the page during a task: it counts as long as it took, at most as planned;
    // whoever comes back much later was away.
    const before = state.taskSeconds[state.part] ?? 0;
    const planned = task.minutes * 60;
    const there = gap > 0 && gap <= planned + LONGEST_ACTIVE_GAP_SECONDS;
    const seconds = Math.min(planned, before + (there ? gap : 0));
    return { ...state, taskSeconds: { ...state.taskSeconds, [state.part]: seconds }, lastAt: at };
  }
  if (!playsAnything(state)) return { ...state, lastAt: at };
  const active = gap > 0 && gap <= LONGEST_ACTIVE_GAP_SECONDS && !state.ended ? gap : 0;
  const { state: block } = currentBlock(state);
  const activeSeconds = block.activeSeconds + active;
  return { ...withBlock(state, { ...block, activeSeconds }), lastAt: at };
}

/** On to the next part, if there is one; a block among them is the one that is played then. */
function nextPart(state: StandState): StandState {
  const quiet = without(state, "pending", "alsoPending", "detailable", "resting");
  if (isLastPart(state)) return quiet;
  const part = state.part + 1;
  const blockIndex = partsOf(state.plan)[part]!.block ?? state.blockIndex;
  return { ...quiet, part, blockIndex };
}

const ABOUT_PLAYING: ReadonlySet<SessionEvent["kind"]> = new Set([
  "played",
  "measured",
  "judged",
  "detailed",
  "eased",
  "paced",
  "tempo-set",
  "redrawn",
  "repeated",
  "skipped",
  "lowered",
  "narrowed",
  "firmed",
  "offer-declined",
  "rest-began",
  "end-well-began",
]);

/** One event. `undone` is not among them: it is dealt with before, in {@link replay}. */
function step(state: StandState, event: Exclude<SessionEvent, { kind: "undone" }>): StandState {
  // Without anything to play, what only belongs to playing changes nothing.
  if (!playsAnything(state) && ABOUT_PLAYING.has(event.kind)) return state;
  const { plan, state: block } = currentBlock(state);
  switch (event.kind) {
    case "opened":
      return state;
    case "played":
      return played(state, event);
    case "measured":
      return measured(state, event.payload);
    case "judged":
      return judged(state, event.payload);
    case "detailed":
      return detailed(state, event.payload);
    case "eased":
      return eased(state);
    case "paced":
      return withBlock(state, { ...block, pace: event.payload });
    case "tempo-set":
      return withBlock(state, atTempo(block, event.payload.tempo));
    case "redrawn":
      return withBlock(state, redrawn(plan, block, event.payload));
    case "repeated":
      return withBlock(state, again(block));
    case "skipped":
      return withBlock(state, skipping(plan, block));
    case "lowered":
      return answered(withBlock(state, lowering(plan, block, event.payload.steps)));
    case "narrowed":
      return withBlock(state, narrowing(plan, block, event.payload));
    case "firmed":
      return withBlock(state, firming(plan, block, event.payload));
    case "offer-declined":
      if (event.payload.of) return answered(state, [event.payload.of]);
      return withBlock(state, { ...block, flawedOnRung: 0, tense: 0 });
    case "rest-began": {
      const resting = { since: event.at, seconds: event.payload.seconds };
      return { ...withBlock(state, { ...block, flawedOnRung: 0, tense: 0 }), resting };
    }
    case "rest-ended":
      return without(state, "resting");
    case "noted":
      return { ...state, notes: [...state.notes, event.payload.text] };
    case "asked":
      return { ...state, questions: [...state.questions, event.payload.text] };
    case "rated": {
      const { what, answer } = event.payload;
      return { ...state, ratings: { ...state.ratings, [what]: answer } };
    }
    case "felt":
      return { ...state, feeling: event.payload.feeling };
    case "moved-on":
      return nextPart(state);
    case "part-ended":
      return event.payload.part === state.part && taskNow(state) ? nextPart(state) : state;
    case "end-well-began":
      return {
        ...without(state, "resting", "pending", "alsoPending"),
        endingWell: event.payload.tempo,
      };
    case "ended":
      return { ...without(state, "resting", "endingWell"), ended: event.payload.how };
    default:
      return unreachable(event);
  }
}

/** The stand after all the events, in order of `seq`. */
export function replay(plan: SessionPlan, events: readonly SessionEvent[]): StandState {
  const state = effective(events).reduce(
    (before, event) => step(passTime(before, event.at), event),
    initialState(plan),
  );
  const again = askedAgain(events);
  if (again.size === 0) return state;
  const open = state.plays.filter(
    ({ id, byClock }) => !byClock && (again.has(id) || openPlays(state).includes(id)),
  );
  const { detailable } = state;
  const asks = asking(
    state,
    open.map(({ id }) => id),
  );
  return detailable === undefined ? asks : { ...asks, detailable };
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
