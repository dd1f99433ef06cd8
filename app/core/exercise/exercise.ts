import * as v from "valibot";
import { LETTERS, TRANSPOSITION_NAMES } from "~/core/units";
import { parsePitch } from "./pitch";
import { CHORD_NAMES, SCALE_NAMES, semitones } from "./scales";

const whole = (min: number, max: number, what: string) =>
  v.pipe(
    v.number(`Give a number of ${what}.`),
    v.integer(`Whole ${what}.`),
    v.minValue(min, `At least ${min}.`),
    v.maxValue(max, `At most ${max} ${what}.`),
  );

export const PATTERN_KINDS = [
  "scale",
  "arpeggio",
  "five-note",
  "intervals",
  "degrees",
  "repeated",
  "shifts",
  "sticking",
] as const;
export const MOST_OCTAVES = 5;

/** By name, or `typed`: the recipe's own row. */
const scale = v.picklist([...SCALE_NAMES, "typed"], "Choose a scale.");
/** The hands of a player with sticks. */
export const HANDS = ["R", "L"] as const;
const octaves = whole(1, MOST_OCTAVES, "octaves");

/** What is played, over a tonic. */
const patternSchema = v.variant("kind", [
  v.object({
    kind: v.literal("scale"),
    scale,
    octaves,
    /** The chord of its tonic after it, over the same octaves. */
    arpeggio: v.optional(v.boolean()),
  }),
  v.object({
    kind: v.literal("arpeggio"),
    chord: v.picklist(CHORD_NAMES, "Choose a chord."),
    octaves,
    /** One note after the other, in broken groups, or as chords. */
    form: v.picklist(["straight", "broken", "blocked"], "Choose how the chord is played."),
    /** The chord tone that it begins on; 0: the root. */
    inversion: whole(0, 3, "tones"),
  }),
  v.object({ kind: v.literal("five-note"), scale }),
  v.object({
    kind: v.literal("intervals"),
    scale,
    octaves,
    /** 3: thirds. */
    interval: whole(2, 8, "degrees"),
    /** One after the other, or both at once. */
    together: v.boolean(),
  }),
  v.object({
    kind: v.literal("degrees"),
    scale,
    octaves,
    /** A figure of degrees, from 1, that is moved up by a degree each time. */
    figure: v.pipe(
      v.array(whole(1, 15, "degrees")),
      v.minLength(2, "Type at least two degrees: 1 2 3 1."),
      v.maxLength(16, "At most 16 degrees."),
    ),
  }),
  v.object({ kind: v.literal("repeated"), scale, octaves, times: whole(2, 8, "times") }),
  /** From the lowest note to each degree and back, up one string. */
  v.object({ kind: v.literal("shifts"), scale, reach: whole(2, 8, "degrees") }),
  v.object({
    kind: v.literal("sticking"),
    /** Which hand strikes, over and over. */
    hands: v.pipe(
      v.array(v.picklist(HANDS, "Type R and L: R L R R L R L L.")),
      v.minLength(2, "Type at least two strokes: R L."),
      v.maxLength(32, "At most 32 strokes."),
    ),
    times: whole(1, 32, "times"),
  }),
]);
export type Pattern = v.InferOutput<typeof patternSchema>;

export const DIRECTIONS = ["up", "down", "up-down"] as const;
export const RHYTHMS = [
  "whole",
  "half",
  "quarter",
  "eighth",
  "triplet",
  "sixteenth",
  "dotted",
  "three-three-two",
  /** From whole notes to sixteenths, one after the other. */
  "ladder",
] as const;
export type Rhythm = (typeof RHYTHMS)[number];

const rowSchema = v.pipe(
  v.array(
    v.object({
      degree: whole(1, 7, "degrees"),
      alter: v.picklist([-1, 0, 1], "♭, ♯ or neither."),
    }),
  ),
  v.minLength(2, "A scale has at least two degrees: 1 ♭2 3 5."),
  v.maxLength(12, "At most 12 degrees."),
  v.check(
    (row) => row.every((each, at) => at === 0 || semitones(each) > semitones(row[at - 1]!)),
    "The degrees of a scale go up.",
  ),
  v.check(([first]) => first?.degree === 1 && first.alter === 0, "A scale begins on 1."),
);
export type ScaleRow = v.InferOutput<typeof rowSchema>;

const pitch = v.pipe(
  v.string(),
  v.check((text) => parsePitch(text) !== undefined, "A note with its octave: B♭3."),
);

/** An exercise without its key: the same in whichever key it is asked for. */
export const recipeSchema = v.object({
  pattern: patternSchema,
  /** The degrees of a scale that has no name here. */
  row: v.optional(rowSchema),
  direction: v.picklist(DIRECTIONS, "Up, down, or both."),
  rhythm: v.picklist(RHYTHMS, "Choose a rhythm."),
  /** Words over its first note: legato, two slurred two tongued. */
  words: v.pipe(v.string(), v.trim(), v.maxLength(60, "At most 60 letters.")),
  /** The compass as written, both ends included. */
  lowest: pitch,
  highest: pitch,
  clef: v.picklist(["treble", "bass", "alto", "tenor"], "Choose a clef."),
  /** How its instrument sounds from what it reads; as written where that is not said. */
  reads: v.optional(v.picklist(TRANSPOSITION_NAMES, "Choose how the instrument reads.")),
  /** In both hands, an octave apart, on two staves. */
  bothHands: v.boolean(),
});
export type Recipe = v.InferOutput<typeof recipeSchema>;

const tonicSchema = v.object({
  letter: v.picklist(LETTERS, "A key begins with a letter from A to G."),
  accidental: v.picklist([-1, 0, 1], "Sharp, flat or neither."),
});

/** An exercise with the key that it was made in. */
export const madeSchema = v.object({ recipe: recipeSchema, tonic: tonicSchema });
export type Made = v.InferOutput<typeof madeSchema>;
