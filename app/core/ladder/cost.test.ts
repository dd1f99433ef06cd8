import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { gateProgress, type Gate, type Verdict } from "~/core/gate";
import { bpm } from "~/core/units";
import { ladderCost, staircase, type ChosenSchool } from ".";

const school: ChosenSchool = { name: "even-steps", numbers: { step: 10 } };
const gate: Gate = { kind: "in-a-row", plays: 3, afterFlawed: "reset" };
const rungs = staircase({ school, target: bpm(90) }, bpm(60));
const costOf = (change: { clean?: number; rest?: number; minutes?: number } = {}) =>
  ladderCost({
    ladder: { gate, rest: change.rest ?? 0, minutes: change.minutes ?? 10 },
    rungs,
    cleanAt: () => change.clean ?? 0.8,
    loopSeconds: () => 12,
  });

describe("what a ladder costs", () => {
  test("a sure player pays exactly gate × rungs × seconds", () => {
    const cost = costOf({ clean: 1 });
    expect(cost.plays).toBe(12);
    expect(cost.minutes).toBeCloseTo((12 * 12) / 60, 12);
    expect(cost.minutesLow).toBeCloseTo(cost.minutesHigh, 9);
    expect(cost.fits).toBe(1);
  });

  test("rests between rungs are counted, one fewer than rungs", () => {
    expect(costOf({ clean: 1, rest: 20 }).minutes - costOf({ clean: 1 }).minutes).toBeCloseTo(
      1,
      12,
    );
  });

  test("it agrees with climbing the ladder five thousand times", () => {
    let seed = 3;
    const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
    const minutes = Array.from({ length: 5000 }, () => {
      let plays = 0;
      for (let rung = 0; rung < rungs.length; rung++) {
        const verdicts: Verdict[] = [];
        while (!gateProgress(gate, verdicts).passed) {
          verdicts.push(random() < 0.8 ? "clean" : "flawed");
        }
        plays += verdicts.length;
      }
      return (plays * 12) / 60;
    });
    minutes.sort((a, b) => a - b);
    const cost = costOf();
    const mean = minutes.reduce((sum, m) => sum + m, 0) / minutes.length;
    expect(Math.abs(cost.minutes / mean - 1)).toBeLessThan(0.03);
    expect(Math.abs(cost.minutesLow - minutes[500]!)).toBeLessThan(0.5);
    expect(Math.abs(cost.minutesHigh - minutes[4500]!)).toBeLessThan(0.5);
    const through = minutes.filter((m) => m <= 5).length / minutes.length;
    expect(Math.abs(costOf({ minutes: 5 }).fits - through)).toBeLessThan(0.05);
  });

  test("a ladder out of reach has no chance of fitting", () => {
    expect(costOf({ clean: 0.05 }).fits).toBeLessThan(0.001);
  });

  test("the surer the player, the fewer the minutes and the better the chance", () => {
    const p = fc.double({ min: 0.3, max: 0.98, noNaN: true });
    fc.assert(
      fc.property(p, p, (a, b) => {
        const [less, more] = [costOf({ clean: Math.min(a, b) }), costOf({ clean: Math.max(a, b) })];
        expect(more.minutes).toBeLessThanOrEqual(less.minutes + 1e-9);
        expect(less.minutesLow).toBeLessThanOrEqual(less.minutes);
        expect(less.fits).toBeGreaterThanOrEqual(0);
        expect(less.fits).toBeLessThanOrEqual(1);
      }),
    );
  });
});
