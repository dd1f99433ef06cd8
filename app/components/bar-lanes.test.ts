import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { lanesOf } from "./bar-lanes";

const range = fc
  .tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 12 }))
  .map(([fromBar, length]) => ({ fromBar, toBar: fromBar + length }));

test("brackets never overlap in a row, none is lost, and no row is needless", () => {
  fc.assert(
    fc.property(fc.array(range, { maxLength: 20 }), (ranges) => {
      const lanes = lanesOf(ranges);
      expect(lanes.flat()).toHaveLength(ranges.length);
      for (const lane of lanes) {
        lane.slice(1).forEach((each, i) => expect(each.fromBar).toBeGreaterThan(lane[i]!.toBar));
      }
      const deepest = Math.max(
        0,
        ...ranges.map(
          ({ fromBar }) => ranges.filter((r) => r.fromBar <= fromBar && r.toBar >= fromBar).length,
        ),
      );
      expect(lanes).toHaveLength(deepest);
    }),
  );
});
