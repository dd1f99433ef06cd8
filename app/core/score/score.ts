import * as v from "valibot";
import { LETTERS, metreSchema } from "~/core/units";
import { beatUnitSchema } from "./piece";

const count = v.pipe(v.number(), v.integer());
const fractionSchema = v.pipe(v.tuple([count, v.pipe(count, v.minValue(1))]), v.readonly());

const jumpSchema = v.picklist(["segno", "coda", "fine", "da-capo", "dal-segno", "to-coda"]);

/** A bar as it is printed. Everything here but the label is computed with; the label is shown. */
const scoreBarSchema = v.object({
  /** "12", "12a", "X1", or nothing. */
  label: v.string(),
  /** What the bar really holds, in whole notes. */
  length: fractionSchema,
  metre: metreSchema,
  /** Sharps above 0, flats below, as written for the first part. */
  fifths: v.pipe(count, v.minValue(-7), v.maxValue(7)),
  minor: v.boolean(),
  repeatFrom: v.boolean(),
  /** How often in all the stretch that ends here is played; 1 without a repeat. */
  repeatTimes: v.pipe(count, v.minValue(1)),
  /** The rounds of the repeat in which this bar is played; empty: all. */
  endings: v.array(count),
  jumps: v.array(jumpSchema),
  /** What begins with it where the score was printed; its maker may not have said. */
  begins: v.optional(v.picklist(["line", "page"])),
  /** How many notes each part has in it. */
  notes: v.array(count),
});
export type ScoreBar = v.InferOutput<typeof scoreBarSchema>;

/** A tempo as the score marks it: the words, the number, or both. */
const tempoMarkSchema = v.object({
  bar: count,
  onset: fractionSchema,
  unit: v.nullable(beatUnitSchema),
  bpm: v.nullable(v.number()),
  words: v.string(),
});
export type TempoMark = v.InferOutput<typeof tempoMarkSchema>;

const scorePartSchema = v.object({
  id: v.string(),
  name: v.string(),
  staves: v.pipe(count, v.minValue(1)),
  /** The most voices that one of its staves has. */
  voices: v.optional(count, 1),
  /** Semitones from the written pitch to the sounding one; a B♭ clarinet: -2. */
  transposition: count,
});
export type ScorePart = v.InferOutput<typeof scorePartSchema>;

/**
 * A score without its notes, independent of the format it came from. Bars have positions from 1;
 * a pickup is bar 0 and the first of `bars` when `pickup` says so.
 */
export const scoreSchema = v.object({
  title: v.string(),
  composer: v.string(),
  pickup: v.boolean(),
  bars: v.pipe(v.array(scoreBarSchema), v.minLength(1)),
  parts: v.pipe(v.array(scorePartSchema), v.minLength(1)),
  tempi: v.array(tempoMarkSchema),
  /** What could not be read, bar by bar; `times` when the same was found more than once. */
  unread: v.array(v.object({ bar: count, what: v.string() })),
});
export type Score = v.InferOutput<typeof scoreSchema>;

/** One written note. Onset is counted from the bar's start; a grace note lasts nothing. */
export const scoreNoteSchema = v.object({
  part: count,
  staff: count,
  voice: v.string(),
  onset: fractionSchema,
  duration: fractionSchema,
  letter: v.picklist(LETTERS),
  /** Semitones by which an accidental or the key moves the letter, as written. */
  alter: v.number(),
  octave: count,
  /** The sounding pitch, 60 for the middle C; null where the pitch says only which thing is hit. */
  midi: v.nullable(v.number()),
  grace: v.boolean(),
  tiedFrom: v.boolean(),
  tiedTo: v.boolean(),
  slur: v.picklist(["none", "start", "stop", "both"]),
});
export type ScoreNote = v.InferOutput<typeof scoreNoteSchema>;

/** The notes of each bar, in the order of `bars`; in a bar by onset. */
export const scoreNotesSchema = v.array(v.array(scoreNoteSchema));
export type ScoreNotes = readonly (readonly ScoreNote[])[];

/** The position of the first of the bars: 0 for a pickup. */
export const firstPosition = ({ pickup }: Pick<Score, "pickup">): number => (pickup ? 0 : 1);

/** The bar at a position; undefined outside. */
export const barAt = (score: Score, position: number): ScoreBar | undefined =>
  score.bars[position - firstPosition(score)];
