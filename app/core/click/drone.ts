import * as v from "valibot";
import { soundsFromWritten, TRANSPOSITION_NAMES } from "~/core/units";

/** Pitch classes by their usual names, from C. */
export const PITCHES = ["C", "C♯", "D", "E♭", "E", "F", "F♯", "G", "A♭", "A", "B♭", "B"] as const;
export type Pitch = (typeof PITCHES)[number];

const LOWEST_A = 415;
const HIGHEST_A = 466;

export const droneSchema = v.object({
  /** The pitch as the player reads it. */
  pitch: v.picklist(PITCHES, "Choose a pitch."),
  /** Scientific octave of the written pitch; A of octave 4 is the tuning note. */
  octave: v.pipe(
    v.number("Give an octave."),
    v.integer("An octave is a whole number."),
    v.minValue(1, "The lowest octave is 1."),
    v.maxValue(6, "The highest octave is 6."),
  ),
  /** Frequency of the sounding A of octave 4 in Hz. */
  a: v.pipe(
    v.number("Give the frequency of A."),
    v.check(
      (hz) => hz >= LOWEST_A && hz <= HIGHEST_A,
      ({ input }) => `A = ${String(input)} Hz is outside ${LOWEST_A}–${HIGHEST_A} Hz.`,
    ),
  ),
  transposition: v.picklist(TRANSPOSITION_NAMES, "Choose how the instrument reads."),
  /** Instead of the click; the count-in stays. */
  alone: v.boolean(),
  level: v.pipe(
    v.number("Give a level."),
    v.minValue(0, "The level starts at 0 %."),
    v.maxValue(100, "The level ends at 100 %."),
  ),
});
export type Drone = v.InferOutput<typeof droneSchema>;

const A = PITCHES.indexOf("A");
const OCTAVE = 12;

/** Semitones above the A of octave 4, as it sounds. */
const semitones = ({ pitch, octave, transposition }: Drone): number =>
  PITCHES.indexOf(pitch) - A + (octave - 4) * OCTAVE + soundsFromWritten(transposition);

/** The sounding frequency in Hz, equal temperament: a × 2^(semitones / 12). */
export const droneHz = (drone: Drone): number => drone.a * 2 ** (semitones(drone) / OCTAVE);

/** The pitch that is heard, named: the written B of an instrument in B♭ sounds as A. */
export function soundingPitch(drone: Drone): { readonly pitch: Pitch; readonly octave: number } {
  const fromC = semitones(drone) + A;
  return {
    pitch: PITCHES[((fromC % OCTAVE) + OCTAVE) % OCTAVE]!,
    octave: 4 + Math.floor(fromC / OCTAVE),
  };
}

/** A drone at full level lies under a click at full level. */
const DRONE_FULL = 0.4;

/** How loud a drone is, 0–1, where a click at full level is 1. */
export const droneLevel = ({ level }: Drone): number => (level / 100) * DRONE_FULL;
