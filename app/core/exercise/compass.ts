import type { Transposition } from "~/core/units";
import type { Recipe } from "./exercise";

/** What an instrument can play, as written for it, and how that sounds. */
export type Compass = Pick<Recipe, "lowest" | "highest" | "clef" | "bothHands" | "reads">;

const one = (
  lowest: string,
  highest: string,
  clef: Recipe["clef"] = "treble",
  reads: Transposition = "in C",
): Compass => ({ lowest, highest, clef, bothHands: false, reads });
const two = (lowest: string, highest: string): Compass => ({
  ...one(lowest, highest),
  bothHands: true,
});

/** The more special name first: a bass clarinet is a clarinet. Usual compasses, to be changed. */
const COMPASSES: readonly (readonly [name: RegExp, compass: Compass])[] = [
  [/cor anglais|english horn/i, one("B3", "G6", "treble", "in F")],
  [/oboe/i, one("B♭3", "G6")],
  [/(treble|alto) recorder/i, one("F4", "G6")],
  [/(soprano|descant) recorder/i, one("C4", "D6", "treble", "octave higher")],
  [/recorder/i, one("C5", "D7")],
  [/piccolo/i, one("D4", "C7", "treble", "octave higher")],
  [/flute/i, one("C4", "C7")],
  [/bass clarinet/i, one("E3", "C6", "treble", "in B♭, octave lower")],
  [/clarinet in A/i, one("E3", "C7", "treble", "in A")],
  [/clarinet/i, one("E3", "C7", "treble", "in B♭")],
  [/soprano sax/i, one("B♭3", "F6", "treble", "in B♭")],
  [/tenor sax/i, one("B♭3", "F6", "treble", "in B♭, octave lower")],
  [/baritone sax/i, one("B♭3", "F6", "treble", "in E♭, octave lower")],
  [/saxophone|sax/i, one("B♭3", "F6", "treble", "in E♭")],
  [/bassoon/i, one("B♭1", "B♭4", "bass")],
  [/trumpet|cornet/i, one("F♯3", "C6", "treble", "in B♭")],
  [/french horn|^horn/i, one("F♯3", "C6", "treble", "in F")],
  [/trombone|euphonium/i, one("E2", "B♭4", "bass")],
  [/tuba/i, one("E1", "F4", "bass")],
  [/violin|fiddle/i, one("G3", "E7")],
  [/viola/i, one("C3", "E6", "alto")],
  [/cello/i, one("C2", "C6", "bass")],
  [/double bass/i, one("E2", "C5", "bass", "octave lower")],
  [/mandolin/i, one("G3", "A6")],
  [/guitar/i, one("E3", "E6", "treble", "octave lower")],
  [/harp/i, two("C3", "G7")],
  [/accordion/i, two("F3", "A6")],
  [/piano|organ|keyboard/i, two("C3", "C8")],
];

const WIDE = one("C4", "C6");

/** The compass of an instrument by its name; a singer's two octaves where it isn't known. */
export const compassOf = (instrument: string): Compass =>
  COMPASSES.find(([name]) => name.test(instrument))?.[1] ?? WIDE;
