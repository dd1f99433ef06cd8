import type { MapMarker } from "~/core/click";
import { isInTime, noVerdictOf, openByClock } from "./in-time";
import { judgeNow, rest, settle } from "./judging";
import { begin, playFrom } from "./loops";
import { PAUSE_SECONDS } from "./pace";
import { playEnded } from "./played";
import { canPlayOn } from "./question";
import type { Turn } from "./turn";

/** Going on in time, whoever has given no verdict is asked again in a breather. */
function pauseThenPlay(turn: Turn): void {
  turn.go("asking");
  turn.do({ kind: "wait", timer: "asked-again", ms: PAUSE_SECONDS * 1000 });
}

function mapEnded(turn: Turn): void {
  const { next, transport, stand } = turn.state;
  if (next) return begin(turn, next);
  if (transport !== "breather") return;
  if (stand.resting) return rest(turn);
  const { pending } = stand;
  const again = pending !== undefined && noVerdictOf(stand) === "again";
  if (again && isInTime(stand)) return pauseThenPlay(turn);
  if (again || (canPlayOn(stand) && !pending)) {
    turn.go("stopped");
    return playFrom(turn, 0);
  }
  turn.do({ kind: "drone", drone: null });
  turn.go(pending ? "asking" : "stopped");
}

/** A marker of a loop has come by; one of a loop that is not heard any more says nothing. */
export function marker(turn: Turn, loop: number, name: MapMarker["name"]): void {
  const { heard, transport, early } = turn.state;
  if (loop !== heard?.id) return;
  if (name === "play-began" && transport === "count-in") turn.go("play");
  if (name === "play-ended" && transport === "play") {
    playEnded(turn, true);
    if (early) judgeNow(turn, "clean");
    // By the clock, and while something is tried, nobody is waited for.
    if ((openByClock(turn.stand) || turn.state.heard?.tried) && !isInTime(turn.stand)) settle(turn);
  }
  if (name === "map-ended") mapEnded(turn);
}
