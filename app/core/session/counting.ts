import type { Verdict } from "~/core/gate";
import { unreachable } from "~/core/result";
import { counting, falling, gatePassed, narrowing, progressNow } from "./block";
import { withBlock } from "./changed";
import {
  barsWhereItFailed,
  currentBlock,
  offersAnotherWay,
  rungNow,
  type Play,
  type StandState,
} from "./state";

/** A rest after a rung that was passed, where the ladder says so. */
export function moveOnUp(state: StandState): StandState {
  const { plan, state: block } = currentBlock(state);
  const { rest } = rungNow(block);
  const moved = gatePassed(plan, block);
  const next = withBlock(state, moved);
  // A nudged tempo passes and goes on to its own rung: that is a step up as well.
  const climbed = moved.passed.length > block.passed.length && !moved.toppedOut;
  return climbed && rest > 0 ? { ...next, resting: { since: state.lastAt!, seconds: rest } } : next;
}

/** After so many flawed plays: at once what the ladder says, or an offer where it says "ask". */
export function anotherWay(state: StandState): StandState {
  if (!offersAnotherWay(state)) return state;
  const { plan, state: block } = currentBlock(state);
  const { then, steps, seconds } = plan.ladder.afterFlawed;
  switch (then) {
    case "ask":
      return state;
    case "lower":
      return withBlock(state, falling(plan, block, steps));
    case "cut": {
      // Nobody has said where: then it is asked after all.
      const where = barsWhereItFailed(state);
      return where ? withBlock(state, narrowing(plan, block, where)) : state;
    }
    case "rest": {
      const rested = withBlock(state, { ...block, flawedOnRung: 0, tense: 0 });
      return { ...rested, resting: { since: state.lastAt!, seconds } };
    }
    case "leave":
      return withBlock(state, { ...block, left: true });
    default:
      return unreachable(then);
  }
}

/** Whether a play was one of the rung that is on, as it is played now. */
export function isOfRung(state: StandState, play: Play): boolean {
  const { state: block } = currentBlock(state);
  const { segment } = block;
  return (
    !play.endingWell &&
    play.blockIndex === state.blockIndex &&
    play.rung === block.rung &&
    play.tempo === block.tempo &&
    play.fromBar === segment.fromBar &&
    play.toBar === segment.toBar
  );
}

/** A verdict as the gate of the rung that is on counts it. */
export function count(state: StandState, play: Play, verdict: Verdict): StandState {
  const { state: block } = currentBlock(state);
  if (play.byClock || !isOfRung(state, play) || block.toppedOut) return state;
  const { id, seconds, playing, measured } = play;
  const judgedPlay = { play: id, verdict, seconds, playing, spread: measured?.spread };
  const counted = withBlock(state, counting(block, judgedPlay));
  return progressNow(currentBlock(counted).state).passed ? moveOnUp(counted) : anotherWay(counted);
}

/** The player says that it feels easy. */
export function eased(state: StandState): StandState {
  const { state: block } = currentBlock(state);
  if (block.toppedOut) return state;
  const said = withBlock(state, { ...block, easy: true });
  return progressNow(currentBlock(said).state).passed ? moveOnUp(said) : said;
}
