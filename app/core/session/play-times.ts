import { loopSeconds, playingSeconds, type LoopRequest } from "~/core/click";
import { unroll, type Rung, type Segment } from "~/core/ladder";
import { segmentOf } from "./extent";
import type { Played } from "./heard-bars";
import type { RolledBlock } from "./plan";
import { loopOver, playsOf, turnsIn } from "./loop";
import { whereOf } from "./where";

/** The loop of a rung by itself, as the stand would play it first. */
export const loopOfRung = (
  block: Played,
  rung: Rung,
  segment: Segment = segmentOf(block, rung),
): LoopRequest => loopOver(block, segment, rung.click, playsOf(rung, rung.tempo));

/** Seconds of the first loop of a rung, count-in and breather included. */
export const secondsOfRung = (block: Played, rung: Rung): number =>
  loopSeconds(loopOfRung(block, rung));

/** What a play takes. */
export interface PlayTimes {
  /** Seconds of one play among others. */
  readonly seconds: number;
  /** Seconds that come on top each time the playing begins. */
  readonly begin: number;
  /** Seconds of the playing in it. */
  readonly playing: number;
  /** Times that a short link comes in it; all of them are one play. */
  readonly turns: number;
}

/** The times of a rung's plays, or of another stretch of bars played like it. */
export function playTimes(block: Played, rung: Rung, segment?: Segment): PlayTimes {
  const first = loopOfRung(block, rung, segment);
  const seconds = loopSeconds({ ...first, first: false });
  // Going on in time, the gate passes while the next play runs; that one is finished.
  const finished = rung.click.breather.kind === "in-time" ? seconds : 0;
  const begin = loopSeconds(first) - seconds + finished;
  return { seconds, begin, playing: playingSeconds(first), turns: turnsIn(first) };
}

/** A play of a rung among others of the same, in seconds. */
interface PlayLasts {
  readonly tempo: number;
  readonly all: number;
  readonly playing: number;
}

/** How long a play of today's first rung lasts; undefined where the player set what lies between. */
export function playLasts(block: RolledBlock): PlayLasts | undefined {
  if (block.pace) return undefined;
  const [rung] = unroll(block.ladder, whereOf(block));
  if (!rung) return undefined;
  const { seconds, playing } = playTimes(block, rung);
  return { tempo: rung.tempo, all: seconds, playing };
}
