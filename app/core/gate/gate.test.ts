import { describe, expect, test } from "@jest/globals";
import * as v from "valibot";
import { gateCost, gateProgress, gateSchema, type Gate, type JudgedPlay } from ".";

const SECONDS = 20;
const row = (plays: number, afterFlawed: "reset" | "minus-one" = "reset"): Gate => [
  { kind: "in-a-row", plays, afterFlawed },
];
const played = (text: string): JudgedPlay[] =>
  [...text].map((c) => ({ verdict: c === "c" ? "clean" : "flawed", seconds: SECONDS }));
const count = (gate: Gate, text: string) => gateProgress(gate, played(text)).parts[0]!.count;
const passed = (gate: Gate, text: string, easy = false) =>
  gateProgress(gate, played(text), easy).passed;
const costOf = (gate: Gate, p: number) => gateCost(gate, p, SECONDS)!;

describe("a gate's progress", () => {
  test("a flawed play returns the count to zero, or takes one away", () => {
    expect(count(row(5), "cccfc")).toBe(1);
    expect(count(row(5, "minus-one"), "cccfc")).toBe(3);
    expect(count(row(5, "minus-one"), "ffc")).toBe(1);
  });

  test("it opens exactly when the rule is met", () => {
    expect(passed(row(3), "ccfcc")).toBe(false);
    expect(passed(row(3), "ccfccc")).toBe(true);
    expect(passed([{ kind: "in-all", plays: 3 }], "cfcfc")).toBe(true);
    const fourOfFive: Gate = [{ kind: "of-last", plays: 4, window: 5 }];
    expect(passed(fourOfFive, "ccfcfc")).toBe(false);
    expect(passed(fourOfFive, "ffccfcc")).toBe(true);
    expect(passed([{ kind: "played", plays: 2 }], "ff")).toBe(true);
  });

  test("minutes at the tempo count with their share of clean plays", () => {
    const gate: Gate = [{ kind: "minutes", minutes: 1, percent: 75 }];
    expect(passed(gate, "cc")).toBe(false);
    expect(passed(gate, "ccf")).toBe(false);
    expect(passed(gate, "ccfc")).toBe(false);
    // One early bad minute is forgotten: the last minute is looked at.
    expect(passed(gate, "fffff" + "ccccc")).toBe(true);
    expect(count(gate, "ccccc")).toBe(1);
  });

  test("rules combined must all hold, at once", () => {
    const gate: Gate = [...row(2), { kind: "minutes", minutes: 1, percent: 0 }];
    expect(passed(gate, "cc")).toBe(false);
    expect(passed(gate, "ccf")).toBe(false);
    expect(passed(gate, "fcc")).toBe(true);
    const easy: Gate = [...row(1), { kind: "easy" }];
    expect(passed(easy, "c")).toBe(false);
    expect(passed(easy, "c", true)).toBe(true);
    expect(passed(easy, "f", true)).toBe(false);
  });

  test("a measured play has to be even enough, the latest that was measured", () => {
    const gate: Gate = [{ kind: "timing", within: 25 }];
    const measured = (...spreads: (number | undefined)[]) =>
      gateProgress(
        gate,
        spreads.map((spread) => ({ verdict: "clean", seconds: 1, spread })),
      ).passed;
    expect(measured(undefined)).toBe(false);
    expect(measured(40, 20, undefined)).toBe(true);
    expect(measured(20, 40)).toBe(false);
  });

  test("six of the last five is refused with a sentence at its field", () => {
    const result = v.safeParse(gateSchema, [{ kind: "of-last", plays: 6, window: 5 }]);
    expect(result.success).toBe(false);
    expect(v.getDotPath(result.issues![0])).toBe("0.plays");
  });

  test("a single rule, as it used to be stored, is a list of one", () => {
    expect(v.parse(gateSchema, row(3)[0])).toEqual(row(3));
  });
});

describe("what a gate costs", () => {
  test("at p = 0.8 five in a row costs 10.26 plays (s.d. 6.71), ten in a row 41.57", () => {
    const five = costOf(row(5), 0.8);
    expect(five.mean).toBeCloseTo(10.26, 2);
    expect(Math.sqrt(five.variance)).toBeCloseTo(6.71, 2);
    expect(costOf(row(10), 0.8).mean).toBeCloseTo(41.57, 2);
  });

  test("a sure player needs exactly the plays that the gate asks for", () => {
    for (const gate of [row(4), row(4, "minus-one"), [{ kind: "in-all", plays: 4 } as const]]) {
      expect(costOf(gate, 1)).toEqual({ mean: 4, variance: 0 });
    }
  });

  test("where there is no formula none is made up", () => {
    expect(gateCost([...row(2), { kind: "easy" }], 0.8, SECONDS)).toBeUndefined();
    expect(gateCost([{ kind: "minutes", minutes: 1, percent: 80 }], 0.8, 20)).toBeUndefined();
    expect(gateCost([{ kind: "minutes", minutes: 1, percent: 0 }], 0.8, 25)?.mean).toBe(3);
  });

  test("even an impossible gate costs a finite number of plays", () => {
    const { mean, variance } = costOf(row(50), 0);
    expect(Number.isFinite(mean) && Number.isFinite(variance)).toBe(true);
    expect(mean).toBeGreaterThan(1000);
  });

  test("every gate's mean and spread agree with playing it 20,000 times", () => {
    let seed = 7;
    const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
    const gates: Gate[] = [row(3), row(5, "minus-one"), [{ kind: "in-all", plays: 6 }]];
    for (const gate of gates) {
      const counts = Array.from({ length: 20_000 }, () => {
        const plays: JudgedPlay[] = [];
        while (!gateProgress(gate, plays).passed) {
          plays.push({ verdict: random() < 0.75 ? "clean" : "flawed", seconds: 1 });
        }
        return plays.length;
      });
      const mean = counts.reduce((sum, n) => sum + n, 0) / counts.length;
      const variance = counts.reduce((sum, n) => sum + (n - mean) ** 2, 0) / counts.length;
      const cost = costOf(gate, 0.75);
      expect(Math.abs(cost.mean / mean - 1)).toBeLessThan(0.03);
      expect(Math.abs(cost.variance / variance - 1)).toBeLessThan(0.1);
    }
  });
});
