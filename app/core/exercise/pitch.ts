import { LETTERS, type Key } from "~/core/units";
import type { Degree } from "./scales";

/** A pitch as written: middle C is C of octave 4. */
export interface Pitch {
  readonly letter: Key["letter"];
  /** Semitones by which accidentals move it: -2 to 2. */
  readonly alter: number;
  readonly octave: number;
}

export type Tonic = Pick<Key, "letter" | "accidental">;

const NATURAL = { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11 } as const;
const FIFTHS = { F: -1, C: 0, G: 1, D: 2, A: 3, E: 4, B: 5 } as const;
const SIGNS: Readonly<Record<number, string>> = { [-2]: "♭♭", [-1]: "♭", 0: "", 1: "♯", 2: "𝄪" };

/** 60 for the middle C. */
export const midiOf = ({ letter, alter, octave }: Pitch): number =>
  12 * (octave + 1) + NATURAL[letter] + alter;

/** "B♭3". */
export const pitchText = ({ letter, alter, octave }: Pitch): string =>
  `${letter}${SIGNS[alter] ?? ""}${octave}`;

const TEXT = /^\s*([A-Ga-g])\s*(#|♯|b|♭)?\s*(-?\d)\s*$/;

/** Reads "Bb3", "F♯5": the inverse of {@link pitchText}; undefined when it is none. */
export function parsePitch(text: string): Pitch | undefined {
  const match = TEXT.exec(text);
  if (!match) return undefined;
  const [, letter, sign, octave] = match;
  const alter = sign === undefined ? 0 : sign === "#" || sign === "♯" ? 1 : -1;
  return { letter: letter!.toUpperCase() as Pitch["letter"], alter, octave: Number(octave) };
}

/** Sharps (flats below 0) of the major key on a tonic. */
export const fifthsOf = ({ letter, accidental }: Tonic): number => FIFTHS[letter] + 7 * accidental;

/** A degree over a tonic in an octave, so many octaves higher; spelled by its letter. */
export function pitchAt(
  { letter, accidental }: Tonic,
  octave: number,
  [letters, semitones]: Degree,
): Pitch {
  const from = LETTERS.indexOf(letter);
  const at = from + letters;
  const name = LETTERS[((at % 7) + 7) % 7]!;
  const up = Math.floor(at / 7);
  const natural = 12 * up + NATURAL[name] - NATURAL[letter];
  return { letter: name, alter: accidental + semitones - natural, octave: octave + up };
}
