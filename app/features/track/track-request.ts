import { droneHz, droneLevel } from "~/core/click";
import { rungsFrom } from "~/core/ladder";
import {
  barsWithAround,
  tonesOf,
  trackLoops,
  wordsBegin,
  type Block,
  type TrackNote,
  type TrackPart,
  type TrackWish,
} from "~/core/session";
import { TRACK_RATE } from "~/audio/track";
import type { TrackRequest } from "~/workers/protocol/track";
import type { TrackWord, TrackWords } from "./use-words";

/** A passage as today's session would have it, with its notes where the piece has any. */
export interface TrackedPassage {
  readonly block: Block;
  readonly notes: readonly TrackNote[];
  /** The week's, where it asks for one. */
  readonly key: string | null;
  /** What its teacher has recorded of its piece. */
  readonly recordings: readonly { readonly id: string; readonly name: string }[];
}

/** A passage as a part of a track. */
export type TrackedPart = TrackPart & TrackedPassage;

export const partOf = (passage: TrackedPassage, word?: TrackWord): TrackedPart => ({
  ...passage,
  word: word && word.samples.length / TRACK_RATE,
  rungs: rungsFrom(passage.block.rungs, passage.block.ladder),
});

const USUAL_A = 440;

/** Everything that a track sounds, as it is asked of the worker. */
export function soundOf(
  parts: readonly TrackedPart[],
  wish: TrackWish,
  withNotes: boolean,
  words: TrackWords,
): Pick<TrackRequest, "loops" | "tones" | "words" | "a" | "drones"> {
  const loops = [...trackLoops(parts, wish)];
  const said = wordsBegin(parts, wish).flatMap((at, part) => {
    const word = words[part];
    return at === undefined || !word ? [] : [{ at, samples: word.samples }];
  });
  const metres = parts.map(
    ({ block }) => new Map(barsWithAround(block).map((bar) => [bar.number, bar.metre])),
  );
  const tones = loops.flatMap(({ start, map, part }) =>
    tonesOf(map, withNotes ? parts[part]!.notes : [], metres[part]!).map((tone) => ({
      ...tone,
      at: start + tone.at,
    })),
  );
  const drones = parts.flatMap(({ block }, part) => {
    const { drone } = block.ladder.click;
    const own = loops.filter((loop) => loop.part === part);
    const [first, last] = [own[0], own.at(-1)];
    if (!drone || !first || !last) return [];
    const to = last.start + last.map.duration;
    return [{ from: first.start, to, hz: droneHz(drone), level: droneLevel(drone) }];
  });
  return {
    loops: loops.map(({ start, map }) => ({
      start,
      clicks: [...map.clicks],
      bars: map.bars.map((bar) => ({
        start: bar.start,
        duration: bar.duration,
        tempo: bar.tempo,
        unit: bar.unit,
      })),
    })),
    tones,
    words: said,
    drones,
    a: parts.find(({ block }) => block.ladder.click.drone)?.block.ladder.click.drone?.a ?? USUAL_A,
  };
}
