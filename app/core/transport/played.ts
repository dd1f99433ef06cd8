import { turnsIn, type Payload } from "~/core/session";
import type { MapMarker } from "~/core/click";
import { isInTime, isOnlyFinished, waitsInTime } from "./in-time";
import type { Loop } from "./state";
import type { Turn } from "./turn";

/** What is written of a loop that was played, to its end or only for so many seconds. */
function playedOf({ map, request, tempo, segment }: Loop, gone: number): Payload<"played"> {
  const at = (name: MapMarker["name"]) => map.markers.find((each) => each.name === name)?.at ?? 0;
  const turns = request.turnsIn ? { turns: turnsIn(request) } : {};
  return {
    tempo,
    seconds: Math.min(map.duration, gone),
    playing: Math.max(0, Math.min(at("play-ended"), gone) - at("play-began")),
    fromBar: segment.fromBar,
    toBar: segment.toBar,
    complete: gone === Infinity,
    ...turns,
  };
}

/** A play is over: at its end, or broken off. */
export function playEnded(turn: Turn, complete: boolean): void {
  const { heard, fromMemory, stand } = turn.state;
  if (!heard) return;
  const gone = complete ? Infinity : Math.max(0, turn.clock - heard.start);
  // Its rung was decided while it was played, or another play waits for its verdict.
  const uncounted = isOnlyFinished(turn.state) || (isInTime(stand) && waitsInTime(stand));
  turn.set({ transport: "breather", early: false });
  const { plan, state } = turn.block;
  const play = turn.write("played", {
    ...playedOf(heard, gone),
    ...(uncounted ? { uncounted } : {}),
    ...(fromMemory ? { fromMemory } : {}),
  });
  const { passageId: passage } = plan;
  turn.do({ kind: "played", loop: heard, play, passage, tempo: heard.tempo, rung: state.rung });
  if (complete) turn.do({ kind: "listen-end", play });
}
