import * as v from "valibot";
import { ladderSchema } from "~/core/ladder";
import {
  beatUnitSchema,
  metreRegionsSchema,
  PASSAGE_NOTES,
  PASSAGE_STATES,
  PIECE_KINDS,
  scoreNotesSchema,
  scoreSchema,
  tempiSchema,
  tempoSchema,
} from "~/core/score";

const bar = v.pipe(v.number(), v.integer(), v.minValue(0));
const beats = v.pipe(v.number(), v.integer(), v.minValue(0));

const passageSchema = v.object({
  name: v.string(),
  focus: v.string(),
  fromBar: bar,
  toBar: bar,
  pickupBeats: beats,
  startBeats: beats,
  endBeats: beats,
  /** Which notes of its bars: all, a staff, or a voice. */
  notes: v.picklist(PASSAGE_NOTES),
  /** Bars in the order in which they are played; empty where that is as written. */
  order: v.array(bar),
  beatUnit: beatUnitSchema,
  state: v.picklist(PASSAGE_STATES),
  ladder: v.nullable(ladderSchema),
});

/**
 * A piece as one document: what `docs/formats.md` describes field by field. Bars are counted from 1
 * in the order in which they are written, 0 is a pickup.
 */
export const pieceDocumentSchema = v.object({
  format: v.literal("fidus-piece"),
  version: v.literal(1),
  title: v.string(),
  origin: v.string(),
  kind: v.picklist(PIECE_KINDS),
  bars: bar,
  pickupBeats: beats,
  metres: metreRegionsSchema,
  mark: v.object({ unit: beatUnitSchema, bpm: tempoSchema }),
  /** Regions of tempo, how they hang together, and what bends the time; null with one tempo. */
  tempi: v.nullable(tempiSchema),
  passages: v.array(passageSchema),
  /** Flawed plays by bar, ever. */
  flaws: v.array(v.object({ bar, flawed: v.number() })),
  /** How bars go, as somebody marked them. */
  marks: v.array(v.object({ bar, mark: v.picklist(PASSAGE_STATES) })),
  /** Parts, bars, keys and repeats as they were read, and every note; null without notes. */
  score: v.nullable(scoreSchema),
  notes: v.nullable(scoreNotesSchema),
});
export type PieceDocument = v.InferOutput<typeof pieceDocumentSchema>;
