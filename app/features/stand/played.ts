import { turnsIn } from "~/core/session";
import type { Payload } from "~/core/session";
import type { Loop } from "./loop-sound";

/** What is written of a loop that was played, to its end or only for so many seconds. */
export function playedOf(
  { scheduled: { map }, request, tempo, segment }: Loop,
  brokenOffAt: number | undefined,
): Payload<"played"> {
  const at = (name: string) => map.markers.find((each) => each.name === name)?.at ?? 0;
  const end = Math.min(at("play-ended"), brokenOffAt ?? Infinity);
  const turns = request.turnsIn ? { turns: turnsIn(request) } : {};
  return {
    tempo,
    seconds: Math.min(map.duration, brokenOffAt ?? Infinity),
    playing: Math.max(0, end - at("play-began")),
    fromBar: segment.fromBar,
    toBar: segment.toBar,
    complete: brokenOffAt === undefined,
    ...turns,
  };
}
