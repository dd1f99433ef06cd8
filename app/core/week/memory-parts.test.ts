import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import type { Day } from "~/core/units";
import { stretchesOf } from "./by-heart";
import { memoryPlanSchema, type MemoryPlan } from "./memorise";
import { memoryParts, partsStanding, standingUnits } from "./memory-parts";
import * as v from "valibot";

const plan = (fields: Partial<MemoryPlan>): MemoryPlan => ({
  unit: "lines",
  total: 4,
  from: "2026-10-01",
  concert: "2026-12-20",
  marginWeeks: 2,
  ...fields,
});
const TODAY = "2026-11-01" as Day;

describe("lines and pages of a memory plan", () => {
  test("hold every bar once, in order, whether or not it is said where they begin", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 1, max: 80 }),
        fc.option(fc.uniqueArray(fc.integer({ min: 2, max: 80 })), { nil: undefined }),
        (bars, total, later) => {
          const begins = later && [1, ...later.sort((one, other) => one - other)];
          const parts = memoryParts(plan({ total, begins }), bars);
          const held = parts.flatMap(({ fromBar, toBar }) =>
            Array.from({ length: toBar - fromBar + 1 }, (_, i) => fromBar + i),
          );
          expect(held).toEqual(Array.from({ length: bars }, (_, i) => i + 1));
        },
      ),
    );
  });

  test("count when the last of their bars stands", () => {
    const lines = plan({ begins: [1, 5, 8], total: 3 });
    expect(standingUnits(lines, [1, 2, 3, 4, 5, 6], 12)).toBe(1);
    expect(standingUnits(lines, [1, 2, 3, 4, 5, 6, 7], 12)).toBe(2);
    expect(standingUnits(plan({ unit: "bars", total: 12 }), [1, 2, 9], 12)).toBe(3);
  });

  test("stand since the day of their latest bar", () => {
    const standing = [1, 2, 3, 4, 5].map((bar) => ({
      bar,
      since: (bar < 4 ? "2026-10-20" : "2026-10-25") as Day,
    }));
    const parts = memoryParts(plan({ begins: [1, 5], total: 2 }), 6);
    const [first, second] = partsStanding(parts, stretchesOf(standing, [], TODAY));
    expect(first).toMatchObject({ fromBar: 1, toBar: 4, stand: 4, since: "2026-10-25" });
    expect(second).toMatchObject({ stand: 1, since: undefined });
  });

  test.each([[[2, 5]], [[1, 5, 5]], [[1, 9, 4]], [[1, 2.5]]])(
    "begin at no such bars: %j",
    (begins) => {
      expect(v.safeParse(memoryPlanSchema, plan({ begins })).success).toBe(false);
    },
  );
});
