/** A degree: letters above the tonic, and semitones above it. */
export type Degree = readonly [letters: number, semitones: number];

interface ScaleShape {
  readonly up: readonly Degree[];
  /** Coming down, where that is another way; from below upwards as well. */
  readonly down?: readonly Degree[];
  /** Its signature, in fifths from that of the major key on the same tonic. */
  readonly signature: number;
  readonly minor: boolean;
}

const lettered = (...semitones: number[]): Degree[] => semitones.map((each, at) => [at, each]);
const NATURAL_MINOR = lettered(0, 2, 3, 5, 7, 8, 10);

/** Scales by name: degrees within an octave. */
export const SCALES = {
  major: { up: lettered(0, 2, 4, 5, 7, 9, 11), signature: 0, minor: false },
  "natural-minor": { up: NATURAL_MINOR, signature: -3, minor: true },
  "harmonic-minor": { up: lettered(0, 2, 3, 5, 7, 8, 11), signature: -3, minor: true },
  "melodic-minor": {
    up: lettered(0, 2, 3, 5, 7, 9, 11),
    down: NATURAL_MINOR,
    signature: -3,
    minor: true,
  },
  dorian: { up: lettered(0, 2, 3, 5, 7, 9, 10), signature: -2, minor: true },
  phrygian: { up: lettered(0, 1, 3, 5, 7, 8, 10), signature: -4, minor: true },
  lydian: { up: lettered(0, 2, 4, 6, 7, 9, 11), signature: 1, minor: false },
  mixolydian: { up: lettered(0, 2, 4, 5, 7, 9, 10), signature: -1, minor: false },
  "major-pentatonic": {
    up: [
      [0, 0],
      [1, 2],
      [2, 4],
      [4, 7],
      [5, 9],
    ],
    signature: 0,
    minor: false,
  },
  "minor-pentatonic": {
    up: [
      [0, 0],
      [2, 3],
      [3, 5],
      [4, 7],
      [6, 10],
    ],
    signature: -3,
    minor: true,
  },
  blues: {
    up: [
      [0, 0],
      [2, 3],
      [3, 5],
      [4, 6],
      [4, 7],
      [6, 10],
    ],
    signature: -3,
    minor: true,
  },
  "whole-tone": {
    up: [
      [0, 0],
      [1, 2],
      [2, 4],
      [3, 6],
      [4, 8],
      [6, 10],
    ],
    signature: 0,
    minor: false,
  },
  chromatic: {
    up: [
      [0, 0],
      [0, 1],
      [1, 2],
      [1, 3],
      [2, 4],
      [3, 5],
      [3, 6],
      [4, 7],
      [4, 8],
      [5, 9],
      [5, 10],
      [6, 11],
    ],
    down: [
      [0, 0],
      [1, 1],
      [1, 2],
      [2, 3],
      [2, 4],
      [3, 5],
      [4, 6],
      [4, 7],
      [5, 8],
      [5, 9],
      [6, 10],
      [6, 11],
    ],
    signature: 0,
    minor: false,
  },
} as const satisfies Record<string, ScaleShape>;
export type ScaleName = keyof typeof SCALES;
export const SCALE_NAMES = Object.keys(SCALES) as [ScaleName, ...ScaleName[]];

/** Chords by name, as degrees above their root. */
export const CHORDS = {
  major: [
    [0, 0],
    [2, 4],
    [4, 7],
  ],
  minor: [
    [0, 0],
    [2, 3],
    [4, 7],
  ],
  diminished: [
    [0, 0],
    [2, 3],
    [4, 6],
  ],
  augmented: [
    [0, 0],
    [2, 4],
    [4, 8],
  ],
  "dominant-7": [
    [0, 0],
    [2, 4],
    [4, 7],
    [6, 10],
  ],
  "major-7": [
    [0, 0],
    [2, 4],
    [4, 7],
    [6, 11],
  ],
  "minor-7": [
    [0, 0],
    [2, 3],
    [4, 7],
    [6, 10],
  ],
  "half-diminished-7": [
    [0, 0],
    [2, 3],
    [4, 6],
    [6, 10],
  ],
  "diminished-7": [
    [0, 0],
    [2, 3],
    [4, 6],
    [6, 9],
  ],
} as const satisfies Record<string, readonly Degree[]>;
export type ChordName = keyof typeof CHORDS;
export const CHORD_NAMES = Object.keys(CHORDS) as [ChordName, ...ChordName[]];

/** Chords with a minor third have the signature of the minor key. */
export const isMinorChord = (name: ChordName): boolean => CHORDS[name][1][1] === 3;

/** A degree of a scale that is typed: of the major scale, moved by a sharp or a flat. */
interface TypedDegree {
  readonly degree: number;
  readonly alter: -1 | 0 | 1;
}

const MAJOR = [0, 2, 4, 5, 7, 9, 11] as const;

/** Semitones above the tonic. */
export const semitones = ({ degree, alter }: TypedDegree): number =>
  (MAJOR[degree - 1] ?? 0) + alter;

/** What a scale that is typed begins as. */
export const MAJOR_ROW: readonly TypedDegree[] = MAJOR.map((_, at) => ({
  degree: at + 1,
  alter: 0,
}));

/** A typed scale: of minor signature where its third is the minor one alone. */
function typedShape(row: readonly TypedDegree[]): ScaleShape {
  const thirds = row.filter(({ degree }) => degree === 3);
  const minor = thirds.length > 0 && thirds.every(({ alter }) => alter < 0);
  const up = row.map((each): Degree => [each.degree - 1, semitones(each)]);
  return { up, signature: minor ? -3 : 0, minor };
}

/** A scale by its name, or the row that was typed. */
export const scaleShape = (
  name: ScaleName | "typed",
  row: readonly TypedDegree[] | undefined,
): ScaleShape => (name === "typed" ? typedShape(row ?? MAJOR_ROW) : SCALES[name]);
