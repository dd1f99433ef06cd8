import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import * as v from "valibot";
import { aroundNotes, endMoved, startMoved } from "./edges";
import { passageRangeOf, type PassageRange } from "./passage";
import { metreAt } from "./piece";

const common = { beats: 4, unit: 4 } as const;
const piece = {
  bars: 6,
  pickupBeats: 1,
  metres: [
    { fromBar: 1, metre: common },
    { fromBar: 3, metre: { beats: 3, unit: 8 as const } },
    { fromBar: 5, metre: { beats: 1, unit: 2 as const } },
  ],
};
const bars = (fromBar: number, toBar: number): PassageRange => {
  return { fromBar, toBar, pickupBeats: 0, startBeats: 0, endBeats: 0 };
};

describe("the edges of a passage on beats", () => {
  const moves = fc.array(
    fc
      .constantFrom(startMoved, endMoved)
      .chain((move) => fc.constantFrom(1 as const, -1 as const).map((by) => ({ move, by }))),
    { maxLength: 40 },
  );

  test("wherever they are moved, it stays a passage of the piece", () => {
    fc.assert(
      fc.property(moves, (all) => {
        const end = all.reduce((range, { move, by }) => move(piece, range, by), bars(2, 4));
        expect(v.safeParse(passageRangeOf(piece), end).issues).toBeUndefined();
      }),
    );
  });

  /** A beat before a bar is a pickup to it or a start within the bar before: the same moment. */
  const momentsOf = ({ fromBar, toBar, pickupBeats, startBeats, endBeats }: PassageRange) => {
    const before = metreAt(piece.metres, Math.max(1, fromBar - 1)).beats;
    const start = pickupBeats > 0 ? [fromBar - 1, before - pickupBeats] : [fromBar, startBeats];
    return [...start, toBar, endBeats];
  };

  test("a move and its opposite lead back, unless it could not be made", () => {
    fc.assert(
      fc.property(moves, fc.constantFrom(startMoved, endMoved), (all, move) => {
        const here = all.reduce((range, each) => each.move(piece, range, each.by), bars(2, 4));
        const there = move(piece, here, 1);
        if (there === here) return;
        expect(momentsOf(move(piece, there, -1))).toEqual(momentsOf(here));
      }),
    );
  });

  test("the start goes through the pickup into the bar before, and no further than the piece", () => {
    let range = bars(2, 2);
    const seen = Array.from({ length: 9 }, () => (range = startMoved(piece, range, -1)));
    expect(seen.map(({ fromBar, pickupBeats }) => `${fromBar}-${pickupBeats}`)).toEqual([
      ...["2-1", "2-2", "2-3", "1-0", "1-1", "1-1", "1-1", "1-1", "1-1"],
    ]);
  });
});

describe("from note to note", () => {
  test("are the beats in which they sound, and the beat before", () => {
    const within = aroundNotes(piece, { bar: 1, onset: 5 / 8 }, { bar: 1, onset: 3 / 4 }, 7 / 8);
    expect(within).toEqual({ ...bars(1, 1), startBeats: 1, endBeats: 0 });
    const early = aroundNotes(piece, { bar: 2, onset: 0 }, { bar: 2, onset: 1 / 8 }, 1 / 4);
    expect(early).toEqual({ ...bars(2, 2), pickupBeats: 1, endBeats: 1 });
    const across = aroundNotes(piece, { bar: 2, onset: 3 / 4 }, { bar: 3, onset: 0 }, 1 / 8);
    expect(across).toEqual({ ...bars(2, 3), startBeats: 2, endBeats: 1 });
  });
});
