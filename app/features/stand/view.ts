import {
  betweenPlays,
  currentBlock,
  offersAnotherWay,
  partsOf,
  taskNow,
  type SessionEvent,
  type StandState,
} from "~/core/session";
import type { Sending } from "~/features/keeping/outbox";

/** What is going on at this moment. `asking`: the breather is over and the verdict is missing. */
export type Transport = "stopped" | "count-in" | "play" | "breather" | "asking" | "resting";

export interface StandView {
  readonly state: StandState;
  readonly events: readonly SessionEvent[];
  readonly transport: Transport;
  /** A verdict given before the last bar was over; it counts when the play has ended. */
  readonly early: boolean;
  readonly sending: Sending;
  /** Whether this device keeps what is played until it has arrived. */
  readonly keeps: boolean;
  readonly ready: boolean;
  /** The last passage is being left after a flawed play: a slow correct one is offered first. */
  readonly leaving: boolean;
}

/** The flawed play of which where and what may still be told. */
export const flawedPlay = ({ plays, detailable }: StandState) =>
  plays.find(({ id }) => id === detailable);

/** What the stand is asking at this moment, if anything. */
export function questionOf(
  state: StandState,
  transport: Transport,
  leaving = false,
):
  "task" | "verdict" | "rest" | "slow-end" | "top" | "left" | "another-way" | "advice" | undefined {
  if (leaving) return "slow-end";
  if (taskNow(state) && state.endingWell === undefined) return "task";
  if (transport === "play" || state.pending) return "verdict";
  if (state.resting) return "rest";
  const { toppedOut, left } = currentBlock(state).state;
  if (toppedOut && state.endingWell === undefined) return "top";
  if (left && state.endingWell === undefined) return "left";
  if (offersAnotherWay(state)) return "another-way";
  return betweenPlays(state) && state.endingWell === undefined ? "advice" : undefined;
}

/** Whether what is played now is the last passage, and its last play was flawed. */
export function endsFlawed(state: StandState): boolean {
  const later = partsOf(state.plan).slice(state.part + 1);
  const quiet = later.some(({ kind, block }) => block !== null || kind === "slow-finish");
  const last = state.plays.findLast(({ verdict }) => verdict !== undefined);
  return !quiet && !taskNow(state) && last?.verdict === "flawed" && !last.endingWell;
}

/** Whether the next loop may follow without anything being asked first. */
export function canPlayOn(state: StandState): boolean {
  if (state.ended || state.resting) return false;
  if (state.endingWell !== undefined) return true;
  if (taskNow(state)) return false;
  const { toppedOut, left } = currentBlock(state).state;
  return !toppedOut && !left && !offersAnotherWay(state) && !betweenPlays(state);
}
