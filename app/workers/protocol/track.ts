import * as v from "valibot";
import { VOICES } from "~/core/click";
import { beatUnitSchema } from "~/core/score";

const seconds = v.pipe(v.number(), v.minValue(0));

export const TRACK_FORMATS = ["wav-16", "wav-24", "mp3", "midi"] as const;
export type TrackFormat = (typeof TRACK_FORMATS)[number];

const barSchema = v.object({
  start: v.number(),
  duration: v.number(),
  tempo: v.number(),
  unit: beatUnitSchema,
});

/** Asks for a track: when each of its clicks and notes sounds, in seconds from its beginning. */
export const trackRequestSchema = v.object({
  format: v.picklist(TRACK_FORMATS),
  loops: v.array(
    v.object({
      start: seconds,
      clicks: v.array(v.object({ at: v.number(), voice: v.picklist(VOICES), level: v.number() })),
      bars: v.array(barSchema),
    }),
  ),
  tones: v.array(v.object({ at: v.number(), seconds: v.number(), midi: v.number() })),
  words: v.array(v.object({ at: seconds, samples: v.instance(Float32Array<ArrayBuffer>) })),
  /** Frequency of the A of octave 4. */
  a: v.number(),
  seconds,
  drones: v.array(
    v.object({ from: v.number(), to: v.number(), hz: v.number(), level: v.number() }),
  ),
  tags: v.object({ title: v.string(), artist: v.string(), comment: v.string() }),
});
export type TrackRequest = v.InferOutput<typeof trackRequestSchema>;

/** What the worker tells: a piece of the file, in order, and how much of it is there; then the end. */
export const trackAnswerSchema = v.variant("kind", [
  v.object({
    kind: v.literal("part"),
    bytes: v.instance(Uint8Array<ArrayBuffer>),
    /** 0 to 1. */
    share: v.number(),
  }),
  v.object({ kind: v.literal("done") }),
]);
export type TrackAnswer = v.InferOutput<typeof trackAnswerSchema>;
