import type { Verdict } from "~/core/gate";
import { loopOf, nextTempo } from "~/core/session";
import { goesByClock, isInTime, isOnlyFinished, openByClock } from "./in-time";
import { dropNext, follow, playFrom, playsOnInTime, silence } from "./loops";
import { NERVOUS_MS, RESTART_SECONDS } from "./pace";
import { playEnded } from "./played";
import { canPlayOn } from "./question";
import type { Payload } from "~/core/session";
import { soundingStand } from "./state";
import type { Turn } from "./turn";

/** Ends the session. */
export function endNow(turn: Turn, how: Payload<"ended">["how"]): void {
  silence(turn);
  turn.go("stopped");
  turn.set({ leaving: false });
  turn.write("ended", { how });
}

/** Whether what sounds is just tried; what waits for a verdict was played before it. */
const triesNow = ({ state: { heard, stand } }: Turn): boolean =>
  heard?.tried === true && stand.pending === undefined;

/** Begins what is to be played now, out of nothing. */
export function restart(turn: Turn): void {
  silence(turn);
  turn.go("stopped");
  if (canPlayOn(turn.stand)) playFrom(turn, turn.clock + RESTART_SECONDS);
}

/** Whether what sounds is still what is to be played: then nothing need stop. */
export function staysAsItWas({ state }: Turn): boolean {
  const { transport, heard, stand } = state;
  const sounds = transport === "count-in" || transport === "play";
  return (
    transport === "stopped" ||
    (sounds && heard?.of === loopOf(soundingStand(state)) && canPlayOn(stand))
  );
}

export function rest(turn: Turn): void {
  silence(turn);
  turn.go("resting");
  const { since, seconds } = turn.stand.resting!;
  const ms = Math.max(0, since + seconds * 1000 - turn.at);
  turn.do({ kind: "wait", timer: "rest", ms });
}

/** Brings what sounds into line with the session after a decision. */
export function settle(turn: Turn): void {
  const { stand, transport, heard } = turn.state;
  if (stand.resting && transport !== "stopped") return rest(turn);
  switch (transport) {
    case "breather":
      dropNext(turn);
      if (heard && !stand.pending && canPlayOn(stand)) playFrom(turn, heard.ends, true);
      return;
    case "asking":
      return stand.pending ? undefined : restart(turn);
    case "count-in":
    case "play":
    case "resting":
      return restart(turn);
    case "stopped":
  }
}

/** A verdict on the play that waits for one, or on the one that is on. */
export function judgeNow(turn: Turn, verdict: Verdict): void {
  const { stand, transport, last } = turn.state;
  const byClock = stand.pending === undefined ? openByClock(stand) : undefined;
  // Kept, and nothing comes of it: hands stay where they are.
  if (byClock !== undefined) return void turn.write("judged", { play: byClock, verdict });
  if (transport === "play" && (goesByClock(stand) || triesNow(turn))) return;
  const play = stand.pending;
  if (transport === "play" && !(play && isInTime(stand))) return judgeWhilePlaying(turn, verdict);
  if (!play) return;
  const late = transport === "count-in";
  turn.set({ judgedAt: turn.at });
  turn.write("judged", { play, verdict });
  if (stand.endingWell !== undefined) return endNow(turn, "ended-well");
  if (playsOnInTime(turn)) return follow(turn);
  // A verdict that comes in the next count-in lets it go on, unless it moved the tempo.
  const same = canPlayOn(turn.stand) && nextTempo(turn.stand) === last?.tempo;
  if (!(late && same)) settle(turn);
}

/** How a play lay is known: its gate may have passed by it. One that nobody knows says nothing. */
export function heard(turn: Turn, measured: Payload<"measured">): void {
  const before = turn.stand;
  if (!turn.state.ready || !before.plays.some(({ id }) => id === measured.play)) return;
  turn.write("measured", measured);
  const same = loopOf(turn.stand) === loopOf(before) && canPlayOn(turn.stand) === canPlayOn(before);
  if (same || turn.stand.ended) return;
  if (playsOnInTime(turn)) return follow(turn);
  if (!staysAsItWas(turn)) settle(turn);
}

function judgeWhilePlaying(turn: Turn, verdict: Verdict): void {
  // Going on in time, a second press is meant for the play before.
  if (isInTime(turn.stand) && turn.at - turn.state.judgedAt < NERVOUS_MS) return;
  if (isOnlyFinished(turn.state)) return verdict === "flawed" ? leaveUnfinished(turn) : undefined;
  if (verdict === "clean") return turn.set({ early: true });
  turn.set({ early: false });
  playEnded(turn, false);
  silence(turn);
  turn.go("asking");
  judgeNow(turn, "flawed");
}

/** What counts for nothing need not be finished: on with what was decided. */
function leaveUnfinished(turn: Turn): void {
  playEnded(turn, false);
  if (turn.stand.resting) return rest(turn);
  restart(turn);
}
