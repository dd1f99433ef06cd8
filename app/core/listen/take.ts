import * as v from "valibot";

/** How surely bars are placed: by clicks heard coming back, by clapping, by what the device says. */
const PLACED_BY = ["heard", "clapped", "reported"] as const;

/** Longer than any play; what is longer is broken off. */
const LONGEST_TAKE_SECONDS = 900;

const seconds = v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(LONGEST_TAKE_SECONDS));

const takeBarSchema = v.object({
  /** The position of the bar in its piece. */
  bar: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(9999)),
  /** Seconds of the recording at which it begins, and its beats. */
  at: seconds,
  duration: seconds,
  beats: v.pipe(v.array(seconds), v.maxLength(64)),
});
export type TakeBar = v.InferOutput<typeof takeBarSchema>;

/** What is known of a recording of one play without listening to it. */
export const takeSchema = v.object({
  /** The play's event. */
  play: v.pipe(v.string(), v.uuid()),
  passage: v.pipe(v.string(), v.uuid()),
  at: v.pipe(v.number(), v.integer()),
  tempo: v.pipe(v.number(), v.minValue(10), v.maxValue(400)),
  rung: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(10_000)),
  mediaType: v.picklist(["audio/webm", "audio/ogg", "audio/mp4", "audio/wav"]),
  /** Where in the recording what is to be heard begins, and ends. */
  from: seconds,
  until: seconds,
  bars: v.pipe(v.array(takeBarSchema), v.minLength(1), v.maxLength(2000)),
  placedBy: v.picklist(PLACED_BY),
  /** Seconds from a click to its coming back, as it was found or is told. */
  roundTrip: v.pipe(v.number(), v.minValue(-1), v.maxValue(1)),
  /** The microphone gave nothing for a while: what lies behind may be shifted. */
  gaps: v.boolean(),
  /** The microphone went away before the play was over: it ends there. */
  cutOff: v.optional(v.boolean(), false),
  headphones: v.boolean(),
  /** Loudest in each fiftieth of a second from `from` on, 0–255, as base64. */
  peaks: v.pipe(v.string(), v.maxLength(80_000)),
});
export type Take = v.InferOutput<typeof takeSchema>;

interface PlayedBar {
  readonly part: string;
  readonly number: number;
  readonly start: number;
  readonly duration: number;
  readonly beats: readonly number[];
}

/**
 * Where the bars of a play lie in its recording: each at its time in the audio context, later by the
 * round trip, in seconds of the recording. `at`: when the map began; `mark`: the moment of the
 * context that lies `markAt` seconds into the recording; `until`: where that ends, if the play was
 * broken off.
 */
export function barsInTake(
  bars: readonly PlayedBar[],
  clock: {
    readonly start: number;
    readonly mark: number;
    readonly markAt: number;
    readonly roundTrip: number;
    readonly until: number;
  },
): TakeBar[] {
  const shift = clock.start - clock.mark + clock.markAt + clock.roundTrip;
  return bars
    .filter(({ part, start }) => part === "play" && shift + start < clock.until)
    .map(({ number, start, duration, beats }) => ({
      bar: number,
      at: shift + start,
      duration,
      beats: beats.map((beat) => shift + beat),
    }));
}
