import { isInTime, isOnlyFinished, waitsInTime } from "./in-time";
import { playedOf } from "./loops";
import type { Turn } from "./turn";

/** A play is over: at its end, or broken off. */
export function playEnded(turn: Turn, complete: boolean): void {
  const { heard, fromMemory, stand } = turn.state;
  if (!heard) return;
  const gone = complete ? Infinity : Math.max(0, turn.clock - heard.start);
  // Its rung was decided while it was played, or another play waits for its verdict.
  const uncounted =
    heard.tried || isOnlyFinished(turn.state) || (isInTime(stand) && waitsInTime(stand));
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
