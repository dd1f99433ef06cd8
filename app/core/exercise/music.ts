import { err, ok, type Result } from "~/core/result";
import {
  compare,
  difference,
  fraction,
  NOTHING,
  soundsFromWritten,
  sum,
  type Fraction,
  type Metre,
} from "~/core/units";
import type { HANDS, Recipe, Rhythm } from "./exercise";
import { soundsOf } from "./figures";
import { fifthsOf, midiOf, parsePitch, pitchAt, pitchText, type Pitch, type Tonic } from "./pitch";
import { isMinorChord, scaleShape } from "./scales";

/** What sounds at once, and for how long. */
export interface ExerciseNote {
  readonly pitches: readonly Pitch[];
  readonly duration: Fraction;
  /** Where in three in the time of two it stands. */
  readonly triplet?: "first" | "middle" | "last";
  /** Which hand strikes it. */
  readonly hand?: (typeof HANDS)[number];
}

/** An exercise in a key: bars of notes, one row of them for each staff. */
export interface ExerciseMusic {
  readonly metre: Metre;
  readonly fifths: number;
  readonly minor: boolean;
  /** Struck, not pitched: its notes all stand on one line. */
  readonly struck: boolean;
  /** Semitones from what is written to what sounds. */
  readonly sounds: number;
  readonly staves: readonly (readonly (readonly ExerciseNote[])[])[];
}

const MOST_BARS = 400;
const COMMON: Metre = { beats: 4, unit: 4 };
const ONE_BAR = fraction(1);

/** The lengths that come round and round. */
const LENGTHS: Readonly<Record<Exclude<Rhythm, "ladder">, readonly Fraction[]>> = {
  whole: [fraction(1)],
  half: [fraction(1, 2)],
  quarter: [fraction(1, 4)],
  eighth: [fraction(1, 8)],
  triplet: [fraction(1, 12)],
  sixteenth: [fraction(1, 16)],
  dotted: [fraction(3, 16), fraction(1, 16)],
  "three-three-two": [fraction(1, 8)],
};

/** The rungs of the rhythm ladder. */
const RHYTHM_LADDER = ["whole", "half", "quarter", "eighth", "triplet", "sixteenth"] as const;

const signatureOf = ({ pattern, row }: Recipe) => {
  if (pattern.kind === "sticking") return { signature: 0, minor: false };
  if (pattern.kind !== "arpeggio") return scaleShape(pattern.scale, row);
  const minor = isMinorChord(pattern.chord);
  return { signature: minor ? -3 : 0, minor };
};

/** Lays sounds into bars of common time; the last one is held to the end of its bar. */
function inBars(sounds: readonly (readonly Pitch[])[], rhythm: Rhythm): ExerciseNote[][] {
  if (rhythm === "ladder") return RHYTHM_LADDER.flatMap((each) => inBars(sounds, each));
  const lengths = LENGTHS[rhythm];
  const bars: ExerciseNote[][] = [[]];
  let filled = NOTHING;
  sounds.forEach((pitches, at) => {
    if (compare(filled, ONE_BAR) >= 0) {
      bars.push([]);
      filled = NOTHING;
    }
    const last = at === sounds.length - 1;
    const usual = lengths[at % lengths.length]!;
    const place = rhythm === "triplet" ? at % 3 : 0;
    const held = last ? heldLast(difference(ONE_BAR, filled), usual, place) : usual;
    // A last note that opens a triplet is held over it instead.
    const triplet = rhythm !== "triplet" || (last && place === 0) ? undefined : placed(place, last);
    bars.at(-1)!.push({ pitches, duration: held, ...(triplet ? { triplet } : {}) });
    filled = sum(filled, held);
  });
  return bars;
}

/** To the end of the bar; within a triplet to the end of that. */
const heldLast = (left: Fraction, usual: Fraction, place: number): Fraction =>
  place === 0 ? left : fraction((3 - place) * usual[0], usual[1]);

const placed = (place: number, last: boolean): ExerciseNote["triplet"] =>
  place === 0 ? "first" : last || place === 2 ? "last" : "middle";

const metreOf = (rhythm: Rhythm): Metre =>
  rhythm === "three-three-two" ? { beats: 8, unit: 8, groups: [3, 3, 2] } : COMMON;

const tooMany = (bars: number): string => `This makes ${bars} bars; ${MOST_BARS} is the most.`;

/** Where notes that are only struck stand: in the middle of the staff. */
const STRUCK: Pitch = { letter: "C", alter: 0, octave: 5 };

/** Strokes of the hands, over and over. */
function struck(
  { hands, times }: Extract<Recipe["pattern"], { kind: "sticking" }>,
  rhythm: Rhythm,
): Result<ExerciseMusic, string> {
  const strokes = Array.from({ length: hands.length * times }, () => [STRUCK]);
  const bars = inBars(strokes, rhythm);
  if (bars.length > MOST_BARS) return err(tooMany(bars.length));
  let stroke = 0;
  const handed = bars.map((bar) =>
    bar.map((note) => ({ ...note, hand: hands[stroke++ % hands.length]! })),
  );
  return ok({
    metre: metreOf(rhythm),
    fifths: 0,
    minor: false,
    struck: true,
    sounds: 0,
    staves: [handed],
  });
}

/**
 * An exercise in a key, as low in the compass as it goes; a sentence where it does not fit, or where
 * its key has more than seven signs.
 */
export function exerciseIn(recipe: Recipe, tonic: Tonic): Result<ExerciseMusic, string> {
  const { pattern } = recipe;
  if (pattern.kind === "sticking") return struck(pattern, recipe.rhythm);
  const { signature, minor } = signatureOf(recipe);
  const fifths = fifthsOf(tonic) + signature;
  if (Math.abs(fifths) > 7) {
    const signs = `${Math.abs(fifths)} ${fifths > 0 ? "sharps" : "flats"}`;
    return err(`This key would have ${signs}; write it with fewer.`);
  }
  const low = parsePitch(recipe.lowest)!;
  const high = parsePitch(recipe.highest)!;
  if (midiOf(low) >= midiOf(high)) return err("The compass goes from the lowest note up.");
  const sounds = soundsOf(recipe);
  const inOctave = (octave: number) =>
    sounds.map((each) => each.map((degree) => pitchAt(tonic, octave, degree)));
  const lowestOf = (all: readonly (readonly Pitch[])[]) =>
    Math.min(...all.flat().map((pitch) => midiOf(pitch)));
  let octave = low.octave - 2;
  while (lowestOf(inOctave(octave)) < midiOf(low)) octave++;
  const pitches = inOctave(octave);
  const all = pitches.flat();
  const top = all.reduce((one, other) => (midiOf(other) > midiOf(one) ? other : one));
  if (midiOf(top) > midiOf(high)) {
    return err(
      `It goes up to ${pitchText(top)}; the compass ends at ${pitchText(high)}. Fewer octaves, or another key.`,
    );
  }
  if (all.some(({ alter }) => Math.abs(alter) > 2)) return err("This key can't be written here.");
  const bars = inBars(pitches, recipe.rhythm);
  if (bars.length > MOST_BARS) return err(tooMany(bars.length));
  const metre = metreOf(recipe.rhythm);
  const octaveLower = bars.map((bar) => bar.map((note) => lowered(note)));
  return ok({
    metre,
    fifths,
    minor,
    struck: false,
    sounds: soundsFromWritten(recipe.reads ?? "in C"),
    staves: recipe.bothHands ? [bars, octaveLower] : [bars],
  });
}

const lowered = (note: ExerciseNote): ExerciseNote => ({
  ...note,
  pitches: note.pitches.map((pitch) => ({ ...pitch, octave: pitch.octave - 1 })),
});
