import * as v from "valibot";
import { metreAt, type MetreRegion } from "./piece";

const bar = v.pipe(v.number("Give a bar number."), v.integer("Bars are whole numbers."));

/**
 * A range of bars, both ends included. `pickupBeats` are played before `fromBar`; `endBeats` cuts
 * the last bar after so many beats (0: the whole bar). Beats here are those of the bar's metre.
 */
const passageRangeSchema = v.pipe(
  v.object({
    fromBar: v.pipe(bar, v.minValue(1, "Bars are counted from 1.")),
    toBar: v.pipe(bar, v.minValue(1, "Bars are counted from 1.")),
    pickupBeats: v.pipe(v.number(), v.integer(), v.minValue(0, "0 beats or more.")),
    endBeats: v.pipe(v.number(), v.integer(), v.minValue(0, "0 beats or more.")),
  }),
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
        ({ toBar, endBeats }) => endBeats < metreAt(piece.metres, toBar).beats,
        "The last bar has not that many beats; 0 plays it whole.",
      ),
      ["endBeats"],
    ),
  );

/** The bars of a range with their metres. */
export const barsOf = (metres: readonly MetreRegion[], { fromBar, toBar }: PassageRange) =>
  Array.from({ length: toBar - fromBar + 1 }, (_, i) => ({
    number: fromBar + i,
    metre: metreAt(metres, fromBar + i),
  }));
