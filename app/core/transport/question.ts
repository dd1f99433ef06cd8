import {
  betweenPlays,
  currentBlock,
  offersAnotherWay,
  partsOf,
  taskNow,
  type StandState,
} from "~/core/session";
import type { TransportState } from "./state";

/** What the stand asks for, where it waits for the player. */
export type Question =
  "task" | "verdict" | "rest" | "slow-end" | "top" | "left" | "another-way" | "advice";

/** What the stand is asking at this moment, if anything. */
export function questionOf({
  stand,
  transport,
  leaving,
}: Pick<TransportState, "stand" | "transport" | "leaving">): Question | undefined {
  if (leaving) return "slow-end";
  if (taskNow(stand) && stand.endingWell === undefined) return "task";
  if (stand.resting && (transport === "resting" || !stand.pending)) return "rest";
  if (transport === "play" || stand.pending) return "verdict";
  const { toppedOut, left } = currentBlock(stand).state;
  if (toppedOut && stand.endingWell === undefined) return "top";
  if (left && stand.endingWell === undefined) return "left";
  if (offersAnotherWay(stand)) return "another-way";
  return betweenPlays(stand) && stand.endingWell === undefined ? "advice" : undefined;
}

/** Whether the next loop may follow without anything being asked first. */
export function canPlayOn(stand: StandState): boolean {
  if (stand.ended || stand.resting) return false;
  if (stand.endingWell !== undefined) return true;
  if (taskNow(stand)) return false;
  const { toppedOut, left } = currentBlock(stand).state;
  return !toppedOut && !left && !offersAnotherWay(stand) && !betweenPlays(stand);
}

/** Whether what is played now is the last passage, and its last play was flawed. */
export function endsFlawed(stand: StandState): boolean {
  const later = partsOf(stand.plan).slice(stand.part + 1);
  const quiet = later.some(({ kind, block }) => block !== null || kind === "slow-finish");
  const last = stand.plays.findLast(({ verdict }) => verdict !== undefined);
  return !quiet && !taskNow(stand) && last?.verdict === "flawed" && !last.endingWell;
}

/** The flawed play of which where and what may still be told. */
export const flawedPlay = ({ plays, detailable }: StandState) =>
  plays.find(({ id }) => id === detailable);
