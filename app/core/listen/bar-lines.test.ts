import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import * as v from "valibot";
import { barLines, evenPlaces, placesSchema } from "./bar-lines";

const inFour = () => 1;

describe("where the bars of a demonstration lie", () => {
  test("is interpolated between two places by the lengths of the bars, and goes on beyond them", () => {
    const places = [
      { bar: 2, at: 3 },
      { bar: 6, at: 11 },
    ];
    expect(barLines(places, inFour, { from: 1, to: 7 })).toEqual([1, 3, 5, 7, 9, 11, 13, 15]);
    // Bar 3 is half as long as the others.
    const lengthOf = (bar: number) => (bar === 3 ? 0.5 : 1);
    const [third, fourth] = barLines(places, lengthOf, { from: 3, to: 3 });
    expect(third).toBeCloseTo(3 + 8 / 3.5);
    expect(fourth! - third!).toBeCloseTo(4 / 3.5);
  });

  test("follows a tempo that changes at a place", () => {
    const places = [
      { bar: 1, at: 0 },
      { bar: 3, at: 4 },
      { bar: 5, at: 6 },
    ];
    expect(barLines(places, inFour, { from: 1, to: 5 })).toEqual([0, 2, 4, 5, 6, 7]);
  });

  test("of one tempo, taps beside the line are moved onto it", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 4, noNaN: true }),
        fc.array(fc.double({ min: -0.03, max: 0.03, noNaN: true }), {
          minLength: 8,
          maxLength: 24,
        }),
        (bar, beside) => {
          const taps = beside.map((off, n) => ({ bar: n + 1, at: 5 + n * bar + off }));
          const even = evenPlaces(taps, inFour);
          const gaps = even.slice(1).map(({ at }, n) => at - even[n]!.at);
          for (const gap of gaps) expect(gap).toBeCloseTo(gaps[0]!, 6);
          expect(Math.abs(gaps[0]! - bar)).toBeLessThan(0.02);
        },
      ),
    );
  });

  test("one place, or a later bar that begins earlier, is refused", () => {
    expect(v.is(placesSchema, [])).toBe(true);
    expect(v.is(placesSchema, [{ bar: 1, at: 0 }])).toBe(false);
    expect(
      v.is(placesSchema, [
        { bar: 1, at: 2 },
        { bar: 2, at: 1 },
      ]),
    ).toBe(false);
  });
});
