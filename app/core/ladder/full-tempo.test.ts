import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { percentOf, staircase, tempoAt, wayIn } from ".";
import { aLadder, barsOf } from "./test/fixtures";

const STEP = { name: "even-steps", numbers: { step: 6 } };
const bars = barsOf(4);

describe("a ladder in percent of a full tempo", () => {
  test("climbs by whole percents, whatever the full tempo is", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 30, max: 190 }),
        fc.integer({ min: 40, max: 90 }),
        (full, from) => {
          const ladder = aLadder(STEP, tempoAt(full, from), full, { of: full });
          const rungs = staircase(ladder, { start: ladder.start, bars });
          const percents = rungs.map(({ tempo }) => (tempo * 100) / full);
          percents.forEach((percent, at) => {
            const asked = Math.min(100, from + 6 * at);
            expect(percent).toBeCloseTo(asked, 9);
          });
          expect(percents.at(-1)).toBeCloseTo(100, 9);
        },
      ),
    );
  });

  test("goes on next day at the percent where it ended", () => {
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 190 }), fc.nat(6), (full, steps) => {
        const ladder = aLadder(STEP, tempoAt(full, 50), full, { of: full });
        const rungs = staircase(ladder, { start: ladder.start, bars });
        const { tempo } = rungs[steps]!;
        const { start } = wayIn(
          ladder,
          { fromBar: 1, toBar: 4 },
          { bars },
          {
            ended: { tempo, place: { phase: 0, stage: 0 }, way: "even-steps" },
            fastest: () => tempo,
            comfortable: undefined,
            daysGone: undefined,
          },
        );
        expect(percentOf(full, start)).toBe(50 + 6 * steps);
        expect(start).toBeCloseTo(tempo, 9);
      }),
    );
  });

  test.each([
    ["marks", { name: "marks", numbers: { marks: 1 } }, /climbs in percent/],
    [
      "forward and back by marks",
      { name: "forward-back", numbers: { by: "marks", unit: 5, up: 3, down: 1 } },
      /marks mean nothing/,
    ],
  ])("%s are refused", (_, school, sentence) => {
    expect(() => aLadder(school, 60, 100, { of: 100 })).toThrow(sentence);
  });

  test("without a full tempo its tempi are whole bpm", () => {
    expect(() => aLadder(STEP, 43.2, 72)).toThrow(/whole number of bpm/);
    expect(aLadder(STEP, 43.2, 72, { of: 72 }).start).toBe(43.2);
  });
});
