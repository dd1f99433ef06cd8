import type { Recipe } from "./exercise";

/** What an instrument can play, as written for it. */
export type Compass = Pick<Recipe, "lowest" | "highest" | "clef" | "bothHands">;

const one = (lowest: string, highest: string, clef: Recipe["clef"] = "treble"): Compass => ({
  lowest,
  highest,
  clef,
  bothHands: false,
});
const two = (lowest: string, highest: string): Compass => ({
  ...one(lowest, highest),
  bothHands: true,
});

/** The more special name first: a bass clarinet is a clarinet. Usual compasses, to be changed. */
const COMPASSES: readonly (readonly [name: RegExp, compass: Compass])[] = [
  [/cor anglais|english horn/i, one("B3", "G6")],
  [/oboe/i, one("B♭3", "G6")],
  [/(treble|alto) recorder/i, one("F4", "G6")],
  [/recorder/i, one("C5", "D7")],
  [/flute/i, one("C4", "C7")],
  [/clarinet/i, one("E3", "C7")],
  [/saxophone|sax/i, one("B♭3", "F6")],
  [/bassoon/i, one("B♭1", "B♭4", "bass")],
  [/trumpet|cornet/i, one("F♯3", "C6")],
  [/french horn|^horn/i, one("F♯3", "C6")],
  [/trombone|euphonium/i, one("E2", "B♭4", "bass")],
  [/tuba/i, one("E1", "F4", "bass")],
  [/violin|fiddle/i, one("G3", "E7")],
  [/viola/i, one("C3", "E6", "alto")],
  [/cello/i, one("C2", "C6", "bass")],
  [/double bass/i, one("E2", "C5", "bass")],
  [/mandolin/i, one("G3", "A6")],
  [/guitar/i, one("E3", "E6")],
  [/harp/i, two("C3", "G7")],
  [/accordion/i, two("F3", "A6")],
  [/piano|organ|keyboard/i, two("C3", "C8")],
];

const WIDE = one("C4", "C6");

/** The compass of an instrument by its name; a singer's two octaves where it isn't known. */
export const compassOf = (instrument: string): Compass =>
  COMPASSES.find(([name]) => name.test(instrument))?.[1] ?? WIDE;
