import { loopMap, type BeatMap, type Breather } from "~/core/click";
import type { Rung } from "~/core/ladder";
import type { Played } from "./heard-bars";
import { loopOfRung } from "./play-times";

export const MOST_TRACK_PLAYS = 20;

/** How a ladder is made into sound that runs by itself, since nobody judges. */
export interface TrackWish {
  /** Plays of each rung, 1–20. */
  readonly plays: number;
  /** Before each rung as many beeps as its number: low ones for fives, high ones for ones. */
  readonly announced?: boolean;
  /** With the breather that its click sets between plays; without, they follow in time. */
  readonly pauses: boolean;
}

/** A loop of the track, and when it begins in seconds from the track's beginning. */
export interface TrackLoop {
  readonly start: number;
  readonly map: BeatMap;
  /** Index of its part in the track, and of its rung in that. */
  readonly part: number;
  readonly rung: number;
}

const IN_TIME: Breather = { kind: "in-time" };

/** Seconds from beep to beep, and behind the last. */
const BEEP = 0.25;
const AFTER_BEEPS = 0.8;

/** The number of a rung in beeps. */
function beeps(number: number): BeatMap {
  const fives = Math.floor(number / 5);
  const count = fives + (number % 5);
  const clicks = Array.from({ length: count }, (_, at) => ({
    at: at * BEEP,
    voice: at < fives ? ("count" as const) : ("accent" as const),
    level: 0.7,
  }));
  return { clicks, bars: [], markers: [], duration: count * BEEP + AFTER_BEEPS };
}

/** One ladder of a track: what is played, and its rungs. */
export interface TrackPart {
  readonly block: Played;
  readonly rungs: readonly Rung[];
  /** Seconds before it in which somebody speaks; none without. */
  readonly word?: number | undefined;
}

/** Seconds between what is said and the ladder. */
const AFTER_WORD = 1;
/** Seconds between one part of a session and the next: to turn the page. */
const BETWEEN_PARTS = 15;

/**
 * Ladders as a row of loops, as the stand would play them: counted in at each rung, a cue where the
 * tempo has changed, rests as the ladder sets them, time to turn the page between parts.
 */
export function* trackLoops(parts: readonly TrackPart[], wish: TrackWish): Generator<TrackLoop> {
  let start = 0;
  for (const [part, { block, rungs, word }] of parts.entries()) {
    if (part > 0) start += BETWEEN_PARTS;
    if (word !== undefined) start += word + AFTER_WORD;
    for (const [index, rung] of rungs.entries()) {
      const changed = index > 0 && rungs[index - 1]!.tempo !== rung.tempo;
      for (const map of mapsOfRung(block, rung, { ...wish, number: index + 1, changed })) {
        yield { start, map, rung: index, part };
        start += map.duration;
      }
      if (index < rungs.length - 1) start += rung.rest;
    }
  }
}

function* mapsOfRung(
  block: Played,
  rung: Rung,
  told: TrackWish & { readonly number: number; readonly changed: boolean },
): Generator<BeatMap> {
  const { plays, pauses, announced, number, changed } = told;
  if (announced) yield beeps(number);
  const click = pauses ? rung.click : { ...rung.click, breather: IN_TIME };
  const request = loopOfRung(block, { ...rung, click });
  for (let play = 0; play < plays; play++) {
    const first = play === 0;
    yield loopMap({ ...request, first, tempoChanged: first && changed, turn: play });
  }
}

/** When what is said before a part begins, in seconds from the track's beginning. */
export function wordsBegin(parts: readonly TrackPart[], wish: TrackWish): (number | undefined)[] {
  const loops = [...trackLoops(parts, wish)];
  return parts.map(({ word }, part) => {
    const first = loops.find((loop) => loop.part === part);
    return word === undefined || !first ? undefined : first.start - AFTER_WORD - word;
  });
}

/** Seconds that a track lasts. */
export function trackSeconds(parts: readonly TrackPart[], wish: TrackWish): number {
  let end = 0;
  for (const { start, map } of trackLoops(parts, wish)) end = start + map.duration;
  return end;
}

/** The most plays of each rung with which a track stays within so many seconds; at least one. */
export function playsWithin(
  parts: readonly TrackPart[],
  wish: Omit<TrackWish, "plays">,
  seconds: number,
): number {
  let plays = 1;
  while (
    plays < MOST_TRACK_PLAYS &&
    trackSeconds(parts, { ...wish, plays: plays + 1 }) <= seconds
  ) {
    plays++;
  }
  return plays;
}
