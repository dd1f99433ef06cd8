import { describe, expect, test } from "@jest/globals";
import * as v from "valibot";
import { addDays } from "~/core/units";
import { memoryPlanSchema, memoryStanding } from "./index";

const MONDAY = "2026-05-04";

describe("by heart to a date", () => {
  const plan = {
    unit: "bars" as const,
    total: 56,
    from: MONDAY,
    concert: addDays(MONDAY, 42),
    marginWeeks: 2,
  };
  test("says what should stand, and days ahead or behind", () => {
    // 28 days, two bars a day.
    expect(memoryStanding(plan, 20, addDays(MONDAY, 8))).toEqual({
      ready: addDays(MONDAY, 28),
      should: 16,
      aheadDays: 2,
      perDay: 1.8,
      over: false,
    });
    expect(memoryStanding(plan, 8, addDays(plan.concert, 1)).over).toBe(true);
    expect(memoryStanding(plan, 8, addDays(MONDAY, 8)).aheadDays).toBe(-4);
    expect(memoryStanding(plan, 54, addDays(MONDAY, 30)).aheadDays).toBe(-3);
  });
  test("without a day to learn on it is refused", () => {
    const read = v.safeParse(memoryPlanSchema, { ...plan, marginWeeks: 6 });
    expect(read.success).toBe(false);
  });
});
