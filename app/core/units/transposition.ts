/** How far an instrument sounds from what it reads, in semitones. */
const TRANSPOSITIONS = {
  "in C": 0,
  "in B♭": -2,
  "in A": -3,
  "in F": -7,
  "in E♭": -9,
  "in E♭, high": 3,
  "in B♭, octave lower": -14,
  "in E♭, octave lower": -21,
  "octave lower": -12,
  "octave higher": 12,
} as const;
export type Transposition = keyof typeof TRANSPOSITIONS;
export const TRANSPOSITION_NAMES = Object.keys(TRANSPOSITIONS) as [
  Transposition,
  ...Transposition[],
];

/** Semitones from a written pitch to the sounding one: below 0 where it sounds lower. */
export const soundsFromWritten = (reads: Transposition): number => TRANSPOSITIONS[reads];
