import * as v from "valibot";
import { assert } from "~/core/result";
import {
  BEAT_UNIT_NAMES,
  metreSchema,
  TEMPO_LIMITS,
  type BeatUnit,
  type Metre,
} from "~/core/units";

export const PIECE_KINDS = ["piece", "etude", "scale", "drill"] as const;

export const MOST_BARS = 2000;

const wholeNumber = (sentence: string) => v.pipe(v.number(sentence), v.integer(sentence));

/** A tempo as typed or stored: 10–400, refused with the value otherwise. */
export const tempoSchema = v.pipe(
  v.number("Give a tempo in beats per minute."),
  v.check(
    (value) => value >= TEMPO_LIMITS.lowest && value <= TEMPO_LIMITS.highest,
    (issue) =>
      `${String(issue.input)} bpm is outside ${TEMPO_LIMITS.lowest}–${TEMPO_LIMITS.highest} bpm.`,
  ),
);

export const beatUnitSchema = v.picklist(BEAT_UNIT_NAMES, "Choose a beat unit.");

export const metreRegionsSchema = v.pipe(
  v.array(v.object({ fromBar: wholeNumber("Bars are whole numbers."), metre: metreSchema })),
  v.minLength(1, "A piece has a metre."),
  v.check((regions) => regions[0]?.fromBar === 1, "The first metre starts at bar 1."),
  v.check(
    (regions) => regions.every((region, i) => i === 0 || region.fromBar > regions[i - 1]!.fromBar),
    "Metre changes go forward through the piece, one at a bar.",
  ),
);

/** What a piece is made of, without its notes. Bars are numbered from 1; a pickup is bar 0. */
export const pieceShapeSchema = v.pipe(
  v.object({
    bars: v.pipe(
      wholeNumber("Give the number of bars."),
      v.minValue(1, "A piece has at least 1 bar."),
      v.maxValue(MOST_BARS, `A piece has at most ${MOST_BARS} bars.`),
    ),
    pickupBeats: v.pipe(
      wholeNumber("Pickup beats are a whole number."),
      v.minValue(0, "A pickup has 0 beats or more."),
    ),
    metres: metreRegionsSchema,
    markBpm: tempoSchema,
    markUnit: beatUnitSchema,
  }),
  v.forward(
    v.check(
      ({ pickupBeats, metres }) => pickupBeats < metres[0]!.metre.beats,
      "A pickup is shorter than a bar.",
    ),
    ["pickupBeats"],
  ),
  v.forward(
    v.check(
      ({ bars, metres }) => metres.every(({ fromBar }) => fromBar <= bars),
      "A metre change lies beyond the last bar.",
    ),
    ["metres"],
  ),
);

export type PieceShape = v.InferOutput<typeof pieceShapeSchema>;
export type MetreRegion = PieceShape["metres"][number];

/** The metre in force at a bar. */
export function metreAt(regions: readonly MetreRegion[], bar: number): Metre {
  const region = regions.findLast(({ fromBar }) => fromBar <= Math.max(1, bar));
  assert(region, "a piece has a metre from bar 1");
  return region.metre;
}

/** The beat unit a metre is usually counted in: ♩. for 6/8, 9/8, 12/8, else its lower number. */
export function usualBeatUnit({ beats, unit, groups }: Metre): BeatUnit {
  if (unit === 8 && beats % 3 === 0 && beats > 3 && !groups) return "dotted-quarter";
  const plain = { 1: "whole", 2: "half", 4: "quarter", 8: "eighth", 16: "sixteenth" } as const;
  return plain[unit];
}
