import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { addDays, type Day } from "~/core/units";
import { chanceByHeart } from "./heart-chance";
import { nextTest, stretchesOf, type StandingBar } from "./by-heart";

const FIRST = "2026-10-01" as Day;
const bars = (from: number, to: number, since = FIRST): StandingBar[] =>
  Array.from({ length: to - from + 1 }, (_, i) => ({ bar: from + i, since }));
const on = (days: number) => addDays(FIRST, days);

describe("what stands by heart", () => {
  test("is in stretches of neighbours of one age, at most eight bars, that hold every bar once", () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 40 })), (numbers) => {
        const standing = numbers.map((bar) => ({ bar, since: on(bar % 3 === 0 ? 1 : 0) }));
        const stretches = stretchesOf(standing, [], on(2));
        const held = stretches.flatMap(({ fromBar, toBar }) => bars(fromBar, toBar));
        expect(held.map(({ bar }) => bar)).toEqual([...numbers].sort((a, b) => a - b));
        for (const { fromBar, toBar } of stretches) expect(toBar - fromBar).toBeLessThan(8);
      }),
    );
  });

  test("is due again after ever longer days while it stands, and soon where some of it fell out", () => {
    const due = (tests: readonly [number, boolean][], day: number) => {
      const told = tests.map(([at, stood]) => ({ day: on(at), fromBar: 3, toBar: 6, stood }));
      return stretchesOf(bars(1, 8), told, on(day))[0]!.dueIn;
    };
    const once = due([], 0);
    expect(once).toBeGreaterThan(0);
    expect(due([], once)).toBe(0);
    expect(due([[once, true]], once)).toBeGreaterThan(once);
    expect(due([[once, false]], once)).toBeLessThan(due([[once, true]], once));
  });

  test("a test before it stood says nothing about it, nor one of other bars", () => {
    const before = { day: on(-5), fromBar: 1, toBar: 8, stood: false };
    const elsewhere = { day: on(1), fromBar: 20, toBar: 24, stood: false };
    expect(stretchesOf(bars(1, 8), [before, elsewhere], on(1))).toEqual(
      stretchesOf(bars(1, 8), [], on(1)),
    );
  });
});

test("a test begins at a bar of what is due most, and has more than its last bar", () => {
  const standing = [...bars(1, 8, on(20)), ...bars(17, 20)];
  const stretches = stretchesOf(standing, [], on(21));
  for (const chance of [0, 0.4, 0.99]) {
    const { fromBar, toBar } = nextTest(stretches, chance)!;
    expect(toBar).toBe(20);
    expect(fromBar).toBeGreaterThanOrEqual(17);
    expect(fromBar).toBeLessThan(20);
  }
  expect(nextTest([], 0.5)).toBeUndefined();
});

describe("whether it stands by heart in time", () => {
  const plan = { unit: "bars", total: 48, from: FIRST, concert: on(70), marginWeeks: 2 } as const;

  test("as likely as not at the plan's own pace, surely with all, never on the last day without", () => {
    const atPace = chanceByHeart(plan, 24, on(28))!;
    expect(atPace).toBeGreaterThan(0.35);
    expect(atPace).toBeLessThan(0.65);
    expect(chanceByHeart(plan, 48, on(28))).toBe(1);
    expect(chanceByHeart(plan, 40, on(56))).toBe(0);
    expect(chanceByHeart(plan, 8, on(2))).toBeUndefined();
  });

  test("more that stands is never less likely, and it is a chance whatever the plan", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.integer({ min: 5, max: 55 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (total, day, share) => {
          const of = { ...plan, total };
          const stands = Math.floor(share * total);
          const chance = chanceByHeart(of, stands, on(day))!;
          expect(chance).toBeGreaterThanOrEqual(0);
          expect(chance).toBeLessThanOrEqual(1);
          expect(chanceByHeart(of, stands + 1, on(day))!).toBeGreaterThanOrEqual(chance - 1e-9);
        },
      ),
    );
  });
});
