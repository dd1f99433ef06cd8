import { VOICES, type BeatMap } from "~/core/click";
import type { Tone } from "~/core/session";
import { ClickRenderer } from "../engine/click-renderer";
import { Tones } from "./tones";

/** Samples a second of a track. */
export const TRACK_RATE = 44_100;
/** A quantum of the stand's own engine. */
const QUANTUM = 128;
const CHUNK_SECONDS = 2;
const USUAL_A = 440;

export interface TrackSound {
  readonly loops: Iterable<{ readonly start: number } & Pick<BeatMap, "clicks">>;
  readonly seconds: number;
  /** Notes in a plain tone, in the order in which they sound; seconds from the track's beginning. */
  readonly tones?: Iterable<Tone>;
  /** Frequency of the A of octave 4 for the notes. */
  readonly a?: number;
  /** What is said in it: samples at its rate, each from a second of it on. */
  readonly words?: readonly { readonly at: number; readonly samples: Float32Array }[];
  /** Pitches under parts of it, in seconds from its beginning. */
  readonly drones: readonly {
    readonly from: number;
    readonly to: number;
    readonly hz: number;
    readonly level: number;
  }[];
}

/** Notes alone, as samples: short enough to be held as a whole. */
export function renderTones(tones: readonly Tone[], seconds: number): Float32Array<ArrayBuffer> {
  const samples = new Float32Array(Math.ceil(seconds * TRACK_RATE));
  new Tones(tones, TRACK_RATE, USUAL_A).mix(samples, 0);
  return samples;
}

/** Mixes what is said into a chunk that begins at a frame of the track. */
function speak(
  { at, samples }: NonNullable<TrackSound["words"]>[number],
  chunk: Float32Array,
  from: number,
): void {
  const first = Math.round(at * TRACK_RATE) - from;
  for (let n = Math.max(0, first); n < Math.min(chunk.length, first + samples.length); n++) {
    chunk[n]! += samples[n - first]!;
  }
}

/**
 * A track as samples, a few seconds at a time: made by the renderer of the stand, quantum by
 * quantum, from the same maps, so that its clicks are the same to the sample. Loops are taken when
 * they come near, so that memory stays small however long it is.
 */
export function* renderTrack(track: TrackSound): Generator<Float32Array> {
  const { loops, seconds, drones, tones = [], words = [], a = USUAL_A } = track;
  const notes = new Tones(tones, TRACK_RATE, a);
  const renderer = new ClickRenderer(TRACK_RATE, () => undefined);
  renderer.receive({ kind: "volume", volume: 1 });
  let under: TrackSound["drones"][number] | undefined;
  const coming = loops[Symbol.iterator]();
  let next = coming.next();
  let mapId = 0;
  const total = Math.ceil(seconds * TRACK_RATE);
  const perChunk = Math.round((CHUNK_SECONDS * TRACK_RATE) / QUANTUM) * QUANTUM;
  for (let from = 0; from < total; from += perChunk) {
    const until = (from + perChunk) / TRACK_RATE;
    const drone = drones.find((each) => each.from < until && each.to > from / TRACK_RATE);
    if (drone !== under) {
      renderer.receive({ kind: "drone", hz: drone?.hz ?? null, level: drone?.level ?? 0 });
      under = drone;
    }
    while (!next.done && next.value.start < until) {
      const { start, clicks } = next.value;
      renderer.receive({
        kind: "schedule",
        mapId: ++mapId,
        start,
        clicks: {
          at: Float64Array.from(clicks, ({ at }) => at),
          voice: Uint8Array.from(clicks, ({ voice }) => VOICES.indexOf(voice)),
          level: Float32Array.from(clicks, ({ level }) => level),
        },
        markers: [],
      });
      next = coming.next();
    }
    const chunk = new Float32Array(perChunk);
    for (let at = 0; at < perChunk; at += QUANTUM) {
      renderer.render(chunk.subarray(at, at + QUANTUM), from + at);
    }
    notes.mix(chunk, from);
    for (const word of words) speak(word, chunk, from);
    yield chunk.subarray(0, Math.min(perChunk, total - from));
  }
}
