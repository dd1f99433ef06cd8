import * as v from "valibot";
import { metreAt, type MetreRegion } from "./piece";

const bar = v.pipe(v.number("Give a bar number."), v.integer("Bars are whole numbers."));

/** Which notes of its bars a passage is: all, a staff (a hand), or a voice. */
export const PASSAGE_NOTES = ["all", "upper", "lower", "voice-1", "voice-2"] as const;
export type PassageNotes = (typeof PASSAGE_NOTES)[number];

const beats = v.pipe(v.number(), v.integer(), v.minValue(0, "0 beats or more."));

/**
 * A range of bars, both ends included. `pickupBeats` are played before `fromBar`; `startBeats` of
 * that bar are left out; `endBeats` cuts the last bar after so many beats (0: the whole bar). Beats
 * here are those of the bar's metre.
 */
const passageRangeSchema = v.pipe(
  v.object({
    fromBar: v.pipe(bar, v.minValue(1, "Bars are counted from 1.")),
    toBar: v.pipe(bar, v.minValue(1, "Bars are counted from 1.")),
    pickupBeats: beats,
    startBeats: v.optional(beats, 0),
    endBeats: beats,
  }),
  v.forward(
    v.check(
      ({ pickupBeats, startBeats }) => pickupBeats === 0 || startBeats === 0,
      "What begins within its first bar has no pickup before it.",
    ),
    ["startBeats"],
  ),
  v.forward(
    v.check(
      ({ fromBar, toBar, startBeats, endBeats }) =>
        fromBar !== toBar || endBeats === 0 || endBeats > startBeats,
      "It would end before it begins.",
    ),
    ["endBeats"],
  ),
  v.forward(
    v.check(
      ({ fromBar, toBar }) => toBar >= fromBar,
      "The last bar comes before the first: choose at least one bar.",
    ),
    ["toBar"],
  ),
);

export type PassageRange = v.InferOutput<typeof passageRangeSchema>;

/** A range checked against its piece; issues carry the field that is wrong. */
export const passageRangeOf = (piece: {
  readonly bars: number;
  readonly metres: readonly MetreRegion[];
}) =>
  v.pipe(
    passageRangeSchema,
    v.forward(
      v.check(
        ({ toBar }) => toBar <= piece.bars,
        `The piece has ${piece.bars} ${piece.bars === 1 ? "bar" : "bars"}.`,
      ),
      ["toBar"],
    ),
    v.forward(
      v.check(
        ({ fromBar, pickupBeats }) => pickupBeats < metreAt(piece.metres, fromBar - 1).beats,
        "A pickup is shorter than the bar it stands in.",
      ),
      ["pickupBeats"],
    ),
    v.forward(
      v.check(
        ({ fromBar, startBeats }) => startBeats < metreAt(piece.metres, fromBar).beats,
        "The first bar has not that many beats.",
      ),
      ["startBeats"],
    ),
    v.forward(
      v.check(
        ({ toBar, endBeats }) => endBeats < metreAt(piece.metres, toBar).beats,
        "The last bar has not that many beats; 0 plays it whole.",
      ),
      ["endBeats"],
    ),
  );

/** A range alone, of whatever has one. */
export const rangeOf = (of: PassageRange): PassageRange => {
  const { fromBar, toBar, pickupBeats, startBeats, endBeats } = of;
  return { fromBar, toBar, pickupBeats, startBeats, endBeats };
};

/** The bars of a range with their metres. */
export const barsOf = (
  metres: readonly MetreRegion[],
  { fromBar, toBar }: Pick<PassageRange, "fromBar" | "toBar">,
) =>
  Array.from({ length: toBar - fromBar + 1 }, (_, i) => ({
    number: fromBar + i,
    metre: metreAt(metres, fromBar + i),
  }));
