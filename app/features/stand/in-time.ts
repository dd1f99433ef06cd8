import { clickNow, currentBlock, type NoVerdict, type StandState } from "~/core/session";
import { canPlayOn } from "./view";

/** Whether the plays follow each other without a gap, and are judged while playing on. */
export const isInTime = (state: StandState): boolean =>
  state.endingWell === undefined && clickNow(currentBlock(state).state).breather.kind === "in-time";

/** What happens without a verdict; only in time a play can go on uncounted. */
export function noVerdictOf(state: StandState): NoVerdict {
  const { noVerdict } = state.plan;
  return noVerdict === "uncounted" && !isInTime(state) ? "wait" : noVerdict;
}

/** Going on in time: a play waits for its verdict, and what is played meanwhile is only finished. */
export const waitsInTime = (state: StandState): boolean =>
  state.pending !== undefined && noVerdictOf(state) === "wait";

/** Whether another play may follow before anything more is said. */
export const followsInTime = (state: StandState): boolean =>
  canPlayOn(state) && (state.pending === undefined || noVerdictOf(state) === "uncounted");
