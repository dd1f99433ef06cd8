import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import * as v from "valibot";
import { gateCost, gateProgress, gateSchema, type Gate, type Verdict } from ".";

const row = (plays: number, afterFlawed: "reset" | "minus-one" = "reset"): Gate => ({
  kind: "in-a-row",
  plays,
  afterFlawed,
});
const played = (text: string): Verdict[] => [...text].map((c) => (c === "c" ? "clean" : "flawed"));

describe("a gate's progress", () => {
  test("a flawed play returns the count to zero, or takes one away", () => {
    expect(gateProgress(row(5), played("cccfc")).count).toBe(1);
    expect(gateProgress(row(5, "minus-one"), played("cccfc")).count).toBe(3);
    expect(gateProgress(row(5, "minus-one"), played("ffc")).count).toBe(1);
  });

  test("it opens exactly when the rule is met", () => {
    expect(gateProgress(row(3), played("ccfcc")).passed).toBe(false);
    expect(gateProgress(row(3), played("ccfccc")).passed).toBe(true);
    expect(gateProgress({ kind: "in-all", plays: 3 }, played("cfcfc")).passed).toBe(true);
    const fourOfFive: Gate = { kind: "of-last", plays: 4, window: 5 };
    expect(gateProgress(fourOfFive, played("ccfcfc")).passed).toBe(false);
    expect(gateProgress(fourOfFive, played("ffccfcc")).passed).toBe(true);
  });

  test("six of the last five is refused with a sentence at its field", () => {
    const result = v.safeParse(gateSchema, { kind: "of-last", plays: 6, window: 5 });
    expect(result.success).toBe(false);
    expect(v.flatten(result.issues!).nested).toHaveProperty("plays");
  });
});

describe("what a gate costs", () => {
  test("at p = 0.8 five in a row costs 10.26 plays (s.d. 6.71), ten in a row 41.57", () => {
    const five = gateCost(row(5), 0.8);
    expect(five.mean).toBeCloseTo(10.26, 2);
    expect(Math.sqrt(five.variance)).toBeCloseTo(6.71, 2);
    expect(gateCost(row(10), 0.8).mean).toBeCloseTo(41.57, 2);
  });

  test("a sure player needs exactly the plays that the gate asks for", () => {
    for (const gate of [row(4), row(4, "minus-one"), { kind: "in-all", plays: 4 } as const]) {
      expect(gateCost(gate, 1)).toEqual({ mean: 4, variance: 0 });
    }
  });

  test("even an impossible gate costs a finite number of plays", () => {
    const { mean, variance } = gateCost(row(50), 0);
    expect(Number.isFinite(mean) && Number.isFinite(variance)).toBe(true);
    expect(mean).toBeGreaterThan(1000);
  });

  test("n of the last n is n in a row, by quite another way of computing it", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.double({ min: 0.5, max: 0.99, noNaN: true }),
        (n, p) => {
          const chain = gateCost({ kind: "of-last", plays: n, window: n }, p);
          const formula = gateCost(row(n), p);
          expect(chain.mean).toBeCloseTo(formula.mean, 3);
          expect(Math.abs(chain.variance / Math.max(1e-9, formula.variance) - 1)).toBeLessThan(
            1e-3,
          );
        },
      ),
      { numRuns: 40 },
    );
  });

  test("every gate's mean and spread agree with playing it 20,000 times", () => {
    let seed = 7;
    const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
    const gates: Gate[] = [
      row(3),
      row(5, "minus-one"),
      { kind: "in-all", plays: 6 },
      { kind: "of-last", plays: 4, window: 6 },
    ];
    for (const gate of gates) {
      const counts = Array.from({ length: 20_000 }, () => {
        const verdicts: Verdict[] = [];
        while (!gateProgress(gate, verdicts).passed) {
          verdicts.push(random() < 0.75 ? "clean" : "flawed");
        }
        return verdicts.length;
      });
      const mean = counts.reduce((sum, n) => sum + n, 0) / counts.length;
      const variance = counts.reduce((sum, n) => sum + (n - mean) ** 2, 0) / counts.length;
      const cost = gateCost(gate, 0.75);
      expect(Math.abs(cost.mean / mean - 1)).toBeLessThan(0.03);
      expect(Math.abs(cost.variance / variance - 1)).toBeLessThan(0.1);
    }
  });
});
