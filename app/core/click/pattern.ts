import {
  barLength,
  beatUnitValue,
  secondsPerBeat,
  TOLERANCE,
  type BeatUnit,
  type Bpm,
  type Metre,
} from "~/core/units";

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

/** Seconds that a length in whole notes lasts at a tempo of so many beat units a minute. */
export const lengthInSeconds = (wholes: number, tempo: Bpm, beatUnit: BeatUnit): number =>
  (wholes / beatUnitValue(beatUnit)) * secondsPerBeat(tempo);
