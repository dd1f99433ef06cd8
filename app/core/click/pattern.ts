import {
  barLength,
  beatUnitValue,
  secondsPerBeat,
  TOLERANCE,
  type BeatUnit,
  type Bpm,
  type Metre,
} from "~/core/units";
import { unreachable } from "~/core/result";
import type { ClickPattern } from "./programme";

/** The sounds of the click. `cue` tells that the tempo has changed. */
export const VOICES = ["accent", "beat", "subdivision", "count", "cue"] as const;
export type Voice = (typeof VOICES)[number];

/** One click of a bar; `at` is its distance from the bar line in whole notes. */
export interface Pulse {
  readonly at: number;
  readonly voice: Voice;
}

/**
 * Where the clicks of a bar fall. A metre with groups (2+2+3/8) clicks each of its units, the
 * first of each group as a beat; any other clicks each beat unit of the tempo mark, counted from
 * the bar line, so a beat that the bar cuts off is simply shorter. `subdivision` (1–8) clicks
 * divide each click interval evenly.
 */
export function barPulses(metre: Metre, beatUnit: BeatUnit, subdivision = 1): readonly Pulse[] {
  const length = barLength(metre);
  const interval = metre.groups ? 1 / metre.unit : beatUnitValue(beatUnit);
  const groupStarts = new Set<number>();
  metre.groups?.reduce((at, group) => (groupStarts.add(at), at + group), 0);
  const voiceOf = (beat: number): Voice => {
    if (beat === 0) return "accent";
    return !metre.groups || groupStarts.has(beat) ? "beat" : "subdivision";
  };
  const pulses: Pulse[] = [];
  for (let beat = 0; beat * interval < length - TOLERANCE; beat++) {
    for (let part = 0; part < subdivision; part++) {
      const at = (beat + part / subdivision) * interval;
      if (at < length - TOLERANCE) {
        pulses.push({ at, voice: part === 0 ? voiceOf(beat) : "subdivision" });
      }
    }
  }
  return pulses;
}

/**
 * The clicks of one bar under a pattern. `bar` counts bars and `beat` beats from the beginning of
 * the play, so that "every second beat" goes on through odd bars. Off-beats lie halfway between
 * the beats; in a metre with groups they are the units that the groups do not lean on.
 */
export function patternPulses(
  pattern: ClickPattern,
  metre: Metre,
  beatUnit: BeatUnit,
  from: { readonly bar: number; readonly beat: number },
): readonly Pulse[] {
  const beats = barPulses(metre, beatUnit);
  switch (pattern.kind) {
    case "beats":
      return barPulses(metre, beatUnit, pattern.subdivision);
    case "off-beats": {
      if (metre.groups) return beats.filter(({ voice }) => voice === "subdivision");
      const half = beatUnitValue(beatUnit) / 2;
      return beats
        .map(({ at }): Pulse => ({ at: at + half, voice: "beat" }))
        .filter(({ at }) => at < barLength(metre) - TOLERANCE);
    }
    case "every-beats":
      return beats.filter((_, i) => (from.beat + i) % pattern.beats === 0);
    case "every-bars":
      return from.bar % pattern.bars === 0 ? beats.slice(0, 1) : [];
    case "none":
      return [];
    default:
      return unreachable(pattern);
  }
}

/** Seconds that a length in whole notes lasts at a tempo of so many beat units a minute. */
export const lengthInSeconds = (wholes: number, tempo: Bpm, beatUnit: BeatUnit): number =>
  (wholes / beatUnitValue(beatUnit)) * secondsPerBeat(tempo);
