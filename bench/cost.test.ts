import { describe, expect, test } from "@jest/globals";
import { costCases, FACTORS, realCost, toldCost, type CostCase } from "./cost-cases";

const cases = costCases();
const named = (one: CostCase) => Object.values(one).join(", ");

describe("what a ladder costs, against playing it through the stand's reducer", () => {
  test("every pair of values comes in some case", () => {
    const names = Object.keys(FACTORS) as (keyof CostCase)[];
    for (const a of names) {
      for (const b of names.slice(names.indexOf(a) + 1)) {
        const seen = new Set(cases.map((one) => `${one[a]}+${one[b]}`));
        expect(seen.size).toBe(FACTORS[a].length * FACTORS[b].length);
      }
    }
  });

  // All of them run in the bench, with many more climbs.
  test.each(cases.slice(0, 10).map((one) => [named(one), one] as const))("%s", (_, one) => {
    const told = toldCost(one, 4000);
    const real = realCost(one, 500);
    const within = Math.max(0.05 * real.minutes, 20 / 60);
    // Three times the error of the few climbs that there is time for here.
    expect(Math.abs(told.minutes - real.minutes)).toBeLessThan(within + 3 * real.error);
    expect(Math.abs(told.fits - real.fits)).toBeLessThan(0.05 + 3 * Math.sqrt(0.25 / 500));
  });
});
