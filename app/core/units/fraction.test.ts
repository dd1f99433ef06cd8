import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { compare, difference, fraction, sum, valueOf } from ".";

const any = fc
  .tuple(fc.integer({ min: -500, max: 500 }), fc.integer({ min: 1, max: 192 }))
  .map(([top, bottom]) => fraction(top, bottom));

test("what is added can be taken away again, exactly", () => {
  fc.assert(
    fc.property(any, any, (a, b) => {
      expect(difference(sum(a, b), b)).toEqual(a);
      expect(sum(a, b)).toEqual(sum(b, a));
      expect(valueOf(sum(a, b))).toBeCloseTo(valueOf(a) + valueOf(b), 9);
      expect(Math.sign(compare(a, b))).toBe(Math.sign(valueOf(a) - valueOf(b)));
    }),
  );
});
