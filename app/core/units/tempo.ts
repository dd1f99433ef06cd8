import { err, ok, type Result } from "~/core/result";
import type { Beats, Bpm, Seconds } from "./brand";

/** The tempi that Fidus plays, in bpm of the beat unit, both ends included. */
export const TEMPO_LIMITS = { lowest: 10, highest: 400 } as const;

/** No more clicks than this are sounded in a minute: beyond it they merge into a tone. */
export const MOST_CLICKS_A_MINUTE = 1200;

export interface TempoRefused {
  readonly kind: "tempo-refused";
  readonly sentence: string;
}

/**
 * A tempo, or the reason why it is none. Domain: 10–400 bpm; fractions are allowed (they arise
 * from beat-unit conversion). Never clips.
 */
export function tempo(value: number): Result<Bpm, TempoRefused> {
  if (!Number.isFinite(value)) {
    return err({ kind: "tempo-refused", sentence: "A tempo is a number of beats per minute." });
  }
  if (value < TEMPO_LIMITS.lowest || value > TEMPO_LIMITS.highest) {
    const { lowest, highest } = TEMPO_LIMITS;
    return err({
      kind: "tempo-refused",
      sentence: `${value} bpm is outside ${lowest}–${highest} bpm.`,
    });
  }
  return ok(value as Bpm);
}

/** A tempo known to lie within the limits; throws when it does not. */
export function bpm(value: number): Bpm {
  const result = tempo(value);
  if (!result.ok) throw new RangeError(result.error.sentence);
  return result.value;
}

/** Whole bpm, halves up: 72.5 becomes 73. */
export const wholeBpm = (value: number): Bpm => Math.floor(value + 0.5) as Bpm;

/** The nearest playable whole tempo, for values that we compute ourselves (estimates, starts). */
export const nearestPlayable = (value: number): Bpm =>
  Math.min(TEMPO_LIMITS.highest, Math.max(TEMPO_LIMITS.lowest, wholeBpm(value))) as Bpm;

/** Seconds that one beat lasts: 60 / bpm. */
export const secondsPerBeat = (at: Bpm): Seconds => (60 / at) as Seconds;

/** Seconds per bar = beats per bar × 60 / bpm. */
export const secondsPerBar = (beatsPerBar: Beats, at: Bpm): Seconds =>
  ((beatsPerBar * 60) / at) as Seconds;

/** Notes per second = bpm / 60 × notes per beat: the honest way to compare exercises. */
export const notesPerSecond = (at: Bpm, notesPerBeat: number): number => (at / 60) * notesPerBeat;
