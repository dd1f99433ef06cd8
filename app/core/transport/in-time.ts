import { isByClock } from "~/core/gate";
import {
  clickNow,
  currentBlock,
  loopOf,
  playsAnything,
  rungNow,
  type NoVerdict,
  type StandState,
} from "~/core/session";
import { canPlayOn } from "./question";
import { soundingStand, type TransportState } from "./state";

/** Whether the plays follow each other without a gap, and are judged while playing on. */
export const isInTime = (stand: StandState): boolean =>
  stand.endingWell === undefined && clickNow(currentBlock(stand).state).breather.kind === "in-time";

/** What happens without a verdict; only in time a play can go on uncounted. */
export function noVerdictOf(stand: StandState): NoVerdict {
  const { noVerdict } = stand.plan;
  return noVerdict === "uncounted" && !isInTime(stand) ? "wait" : noVerdict;
}

/** Going on in time: a play waits for its verdict, and what is played meanwhile is only finished. */
export const waitsInTime = (stand: StandState): boolean =>
  stand.pending !== undefined && noVerdictOf(stand) === "wait";

/** Whether what is played now goes on by itself after so much playing. */
export const goesByClock = (stand: StandState): boolean =>
  playsAnything(stand) &&
  stand.endingWell === undefined &&
  isByClock(rungNow(currentBlock(stand).state).gate);

/** The last play by the clock, for as long as nobody has said how it was. */
export function openByClock({ plays }: StandState): string | undefined {
  const last = plays.at(-1);
  return last?.byClock && last.verdict === undefined ? last.id : undefined;
}

/** Whether another play may follow before anything more is said. */
export const followsInTime = (stand: StandState): boolean =>
  canPlayOn(stand) && (stand.pending === undefined || noVerdictOf(stand) === "uncounted");

/** Going on in time, the rung of the play that is on was decided while it is played: it is only finished. */
export const isOnlyFinished = ({
  stand,
  transport,
  heard,
  trying,
}: Pick<TransportState, "stand" | "transport" | "heard" | "trying">): boolean =>
  transport === "play" &&
  heard !== undefined &&
  !heard.tried &&
  isInTime(stand) &&
  (heard.of !== loopOf(soundingStand({ stand, trying })) || !canPlayOn(stand));
