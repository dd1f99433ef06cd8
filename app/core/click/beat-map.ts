import { barLength, TOLERANCE, type BeatUnit, type Bpm, type Metre } from "~/core/units";
import { barPulses, lengthInSeconds, type Pulse, type Voice } from "./pattern";

/** A click in seconds from the map's beginning. */
export interface MapClick {
  readonly at: number;
  readonly voice: Voice;
  /** Loudness relative to the voice's own level, 0–1. */
  readonly level: number;
}

/** What a stretch of the map is for; seen on screen, not heard by the engine. */
export type Part = "count-in" | "play" | "breather";

export interface MapBar {
  readonly part: Part;
  /** The printed bar number; in count-in and breather: which of them, from 1. */
  readonly number: number;
  readonly of: number;
  readonly start: number;
  readonly duration: number;
  /** Starts of the beats in seconds from the map's beginning, for the beat light. */
  readonly beats: readonly number[];
}

/** A moment at which the engine reports that it has come by. */
export interface MapMarker {
  readonly at: number;
  readonly name: "play-began" | "play-ended" | "map-ended";
}

/** Everything the engine needs for one loop, in double precision, ahead of time. */
export interface BeatMap {
  readonly clicks: readonly MapClick[];
  readonly bars: readonly MapBar[];
  readonly markers: readonly MapMarker[];
  readonly duration: number;
}

export interface LoopRequest {
  readonly bars: readonly { readonly number: number; readonly metre: Metre }[];
  /** In beats of the first bar's metre. */
  readonly pickupBeats: number;
  /** 0: the last bar is played whole. */
  readonly endBeats: number;
  readonly tempo: Bpm;
  readonly beatUnit: BeatUnit;
  readonly countInBars: number;
  readonly subdivision: number;
  /** The tempo differs from the loop before: say so with the cue. */
  readonly tempoChanged: boolean;
}

const SHORTEST_BREATHER_SECONDS = 4;
const BREATHER_LEVEL = 0.35;
const MOST_BREATHER_BARS = 4;

/** Whole bars that make a breather of at least four seconds, four bars at most. */
export function breatherBars(metre: Metre, tempo: Bpm, beatUnit: BeatUnit): number {
  const bar = lengthInSeconds(barLength(metre), tempo, beatUnit);
  return Math.min(MOST_BREATHER_BARS, Math.max(1, Math.ceil(SHORTEST_BREATHER_SECONDS / bar)));
}

/** Builds a map bar by bar. Bar starts are sums of exact bar lengths, taken to seconds once. */
class MapWriter {
  private readonly clicks: MapClick[] = [];
  private readonly bars: MapBar[] = [];
  private readonly markers: MapMarker[] = [];
  private wholes = 0;

  constructor(
    private readonly tempo: Bpm,
    private readonly beatUnit: BeatUnit,
  ) {}

  private seconds(wholes: number): number {
    return lengthInSeconds(wholes, this.tempo, this.beatUnit);
  }

  mark(name: MapMarker["name"], offsetWholes = 0): void {
    this.markers.push({ name, at: this.seconds(this.wholes + offsetWholes) });
  }

  cue(): void {
    this.clicks.push({ at: this.seconds(this.wholes), voice: "cue", level: 1 });
  }

  bar(
    info: Pick<MapBar, "part" | "number" | "of">,
    length: number,
    pulses: readonly Pulse[],
    sound: (pulse: Pulse) => { voice: Voice; level: number } | undefined,
  ): void {
    const start = this.wholes;
    const beats: number[] = [];
    for (const pulse of pulses) {
      const at = this.seconds(start + pulse.at);
      if (pulse.voice !== "subdivision") beats.push(at);
      const heard = sound(pulse);
      if (heard) this.clicks.push({ at, ...heard });
    }
    this.bars.push({
      ...info,
      start: this.seconds(start),
      duration: this.seconds(length),
      beats,
    });
    this.wholes += length;
  }

  finish(): BeatMap {
    this.mark("map-ended");
    const { clicks, bars, markers } = this;
    return { clicks, bars, markers, duration: this.seconds(this.wholes) };
  }
}

const counted = (pulse: Pulse) =>
  pulse.voice === "subdivision"
    ? undefined
    : { voice: pulse.voice === "accent" ? ("accent" as const) : ("count" as const), level: 1 };
const quietly = (pulse: Pulse) =>
  pulse.voice === "subdivision" ? undefined : { voice: "beat" as const, level: BREATHER_LEVEL };
const plainly = (pulse: Pulse) => ({ voice: pulse.voice, level: 1 });

/**
 * One loop of the stand: count-in, play, breather. With a pickup, the bar before the first is
 * counted up to it and played from there. The breather is at the same tempo, so that the next
 * loop follows at a bar line.
 */
export function loopMap(request: LoopRequest): BeatMap {
  const { bars, tempo, beatUnit, subdivision, countInBars, pickupBeats, endBeats } = request;
  const first = bars[0]!.metre;
  const last = bars.at(-1)!.metre;
  const writer = new MapWriter(tempo, beatUnit);
  if (request.tempoChanged) writer.cue();

  const counting = countInBars + (pickupBeats > 0 ? 1 : 0);
  for (let n = 1; n <= countInBars; n++) {
    const info = { part: "count-in", number: n, of: counting } as const;
    writer.bar(info, barLength(first), barPulses(first, beatUnit), counted);
  }
  if (pickupBeats > 0) {
    const playFrom = barLength(first) - pickupBeats / first.unit;
    writer.mark("play-began", playFrom);
    const info = { part: "count-in", number: counting, of: counting } as const;
    const pulses = barPulses(first, beatUnit, subdivision);
    writer.bar(info, barLength(first), pulses, (pulse) =>
      pulse.at < playFrom - TOLERANCE ? counted(pulse) : plainly(pulse),
    );
  } else {
    writer.mark("play-began");
  }
  bars.forEach(({ number, metre }, index) => {
    const isLast = index === bars.length - 1;
    if (isLast && endBeats > 0) writer.mark("play-ended", endBeats / metre.unit);
    const info = { part: "play", number, of: bars.length } as const;
    writer.bar(info, barLength(metre), barPulses(metre, beatUnit, subdivision), plainly);
  });
  if (endBeats === 0) writer.mark("play-ended");

  const resting = breatherBars(last, tempo, beatUnit);
  for (let n = 1; n <= resting; n++) {
    const info = { part: "breather", number: n, of: resting } as const;
    writer.bar(info, barLength(last), barPulses(last, beatUnit), quietly);
  }
  return writer.finish();
}

/** A plain grid: so many bars of one metre with subdivisions, nothing before or after. */
export function gridMap(
  metre: Metre,
  tempo: Bpm,
  beatUnit: BeatUnit,
  subdivision: number,
  bars: number,
): BeatMap {
  const writer = new MapWriter(tempo, beatUnit);
  const pulses = barPulses(metre, beatUnit, subdivision);
  for (let number = 1; number <= bars; number++) {
    writer.bar({ part: "play", number, of: bars }, barLength(metre), pulses, plainly);
  }
  return writer.finish();
}

/** Seconds that a loop lasts, from count-in to the end of the breather. */
export const loopSeconds = (request: LoopRequest): number => loopMap(request).duration;
