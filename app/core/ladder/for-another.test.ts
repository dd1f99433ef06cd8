import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { forAnother } from "./index";
import { aLadder } from "./test/fixtures";

test("a ladder for somebody else goes to the same target, from where they are comfortable", () => {
  const ladder = aLadder({ name: "even-steps", numbers: { step: 10 } }, 90, 120);
  expect(forAnother(ladder, [0.5, 0.7, 0.9]).start).toBe(84);
  expect(forAnother(ladder, []).start).toBe(72);
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 2, noNaN: true })), (shares) => {
      const { start, target } = forAnother(ladder, shares);
      expect(target).toBe(ladder.target);
      expect(start).toBeGreaterThanOrEqual(36);
      expect(start).toBeLessThanOrEqual(target);
    }),
  );
});
