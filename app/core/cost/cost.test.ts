import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { gateProgress, type Gate, type JudgedPlay } from "~/core/gate";
import { staircase } from "~/core/ladder";
import { aLadder, barsOf } from "~/core/ladder/test/fixtures";
import { bpm } from "~/core/units";
import {
  cleanFrom,
  cleanTable,
  Climbs,
  exactCost,
  nearLimit,
  offersFor,
  tollsOf,
  type Toll,
} from ".";

/** A new stream of numbers, the same each time. */
const stream = () => {
  let state = 7;
  return () => (state = (state * 48271) % 2147483647) / 2147483647;
};
const row = (plays: number): Gate => [{ kind: "in-a-row", plays, afterFlawed: "reset" }];
const ASK = { plays: 4, then: "ask", steps: 1, seconds: 60 } as const;
const stage = { playing: 12, begin: 0, fromBar: 1, toBar: 4 };
const tolls = (clean: number, change: Partial<Toll> = {}, count = 4): Toll[] =>
  Array.from({ length: count }, (_, i) => ({
    ...stage,
    clean,
    seconds: 12,
    listed: false,
    cut: () => ({ ...stage, clean, seconds: 6 }),
    gate: row(3),
    rest: 0,
    context: null,
    below: Math.max(0, i - 1),
    ...change,
  }));
const costOf = (each: readonly Toll[], minutes = 10) =>
  exactCost(each, { minutes, afterFlawed: ASK });
const simulated = (
  each: readonly Toll[],
  then: "ask" | "lower" | "rest" = "ask",
  runs = 10_000,
) => {
  const climbs = new Climbs(each, { afterFlawed: { ...ASK, then } }, stream());
  climbs.climb(runs);
  return climbs.told(10);
};

describe("what a ladder costs by formula", () => {
  test("a sure player pays exactly gate × rungs × seconds", () => {
    const cost = costOf(tolls(1));
    expect(cost.plays).toBe(12);
    expect(cost.minutes).toBeCloseTo((12 * 12) / 60, 12);
    expect(cost.minutesLow).toBeCloseTo(cost.minutesHigh, 9);
    expect(cost).toMatchObject({ fits: 1, exact: true });
  });

  test("rests between rungs are counted, one fewer than rungs", () => {
    const rested = costOf(tolls(1, { rest: 20 })).minutes;
    expect(rested - costOf(tolls(1)).minutes).toBeCloseTo(1, 12);
  });

  test("in context it is played until it is clean once", () => {
    const context = { ...stage, clean: 0.5, seconds: 30 };
    const more = costOf(tolls(1, { context }, 1)).minutes - costOf(tolls(1, {}, 1)).minutes;
    expect(more).toBeCloseTo((2 * 30) / 60, 12);
  });

  test("the surer the player, the fewer the minutes and the better the chance", () => {
    const p = fc.double({ min: 0.3, max: 0.98, noNaN: true });
    fc.assert(
      fc.property(p, p, (a, b) => {
        const [less, more] = [costOf(tolls(Math.min(a, b))), costOf(tolls(Math.max(a, b)))];
        expect(more.minutes).toBeLessThanOrEqual(less.minutes + 1e-9);
        expect(less.minutesLow).toBeLessThanOrEqual(less.minutes);
        expect(less.fits).toBeGreaterThanOrEqual(0);
        expect(less.fits).toBeLessThanOrEqual(1);
      }),
    );
    expect(costOf(tolls(0.05)).fits).toBeLessThan(0.001);
  });
});

describe("what it costs by simulation", () => {
  test("agrees with the formula where there is one, and knows the spread", () => {
    for (const gate of [row(3), row(5), [{ kind: "in-all", plays: 4 }] as const]) {
      const each = tolls(0.75, { gate, rest: 15, context: { ...stage, clean: 0.6, seconds: 20 } });
      const exact = costOf(each);
      const drawn = simulated(each);
      expect(Math.abs(drawn.minutes / exact.minutes - 1)).toBeLessThan(0.02);
      expect(Math.abs(drawn.plays / exact.plays - 1)).toBeLessThan(0.02);
      expect(Math.abs(drawn.fits - exact.fits)).toBeLessThan(0.04);
      expect(drawn.minutesLow).toBeLessThan(drawn.minutesHigh);
    }
  });

  test("agrees with playing combined rules through the gate itself", () => {
    const gate: Gate = [...row(2), { kind: "minutes", minutes: 1, percent: 60 }];
    const random = stream();
    const counts = Array.from({ length: 4000 }, () => {
      const plays: JudgedPlay[] = [];
      while (!gateProgress(gate, plays).passed) {
        plays.push({ verdict: random() < 0.7 ? "clean" : "flawed", seconds: 12 });
      }
      return plays.length;
    });
    const mean = counts.reduce((sum, n) => sum + n, 0) / counts.length;
    const drawn = simulated(tolls(0.7, { gate }, 1));
    expect(costOf(tolls(0.7, { gate }, 1)).exact).toBe(false);
    expect(Math.abs(drawn.plays / mean - 1)).toBeLessThan(0.03);
  });

  test("going lower by itself costs more, resting costs its seconds", () => {
    const each = tolls(0.55);
    const asking = simulated(each).minutes;
    expect(simulated(each, "lower").minutes).toBeGreaterThan(asking);
    const resting = simulated(each, "rest").minutes;
    expect(resting).toBeGreaterThan(asking);
  });

  test("out of reach it ends all the same", () => {
    const { fits, minutes } = simulated(tolls(0.001), "lower", 200);
    expect(fits).toBe(0);
    expect(Number.isFinite(minutes)).toBe(true);
  });
});

const allOffers = (inputs: Parameters<typeof offersFor>[0]) => {
  const steps = offersFor(inputs);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
};

describe("a ladder and a student", () => {
  const block = {
    fromBar: 1,
    toBar: 4,
    pickupBeats: 0,
    startBeats: 0,
    order: [],
    endBeats: 0,
    beatUnit: "quarter" as const,
    bars: barsOf(4),
    around: { before: [], after: barsOf(5).slice(4) },
  };
  /** Sure below 80, lost above 120. */
  const cleanAt = (tempo: number) => 0.98 / (1 + Math.exp((tempo - 100) / 6));
  const inputs = { block, cleanAt, comfortable: 88, flawedBars: undefined, random: stream };
  const even = (step: number) => ({ name: "even-steps", numbers: { step } });

  test("a link is easier than the whole, a cycle harder than its slow plays", () => {
    const tollsFor = (name: string, numbers: object) => {
      const ladder = aLadder({ name, numbers }, 60, 100);
      const rungs = staircase(ladder, { start: bpm(60), bars: block.bars });
      return tollsOf({ block: { ...block, ladder }, rungs, cleanAt });
    };
    const woven = tollsFor("woven-chain", { unit: "bar", size: 1, step: 40, window: 8 });
    expect(woven[1]!.clean).toBeCloseTo(cleanAt(100) ** 0.25, 12);
    const burst = { step: 5, ratio: 2, slow: 1, fast: 2, mostFast: 2 };
    expect(tollsFor("burst", burst)[0]!.clean).toBeCloseTo(cleanAt(50) * cleanAt(100) ** 2, 12);
  });

  test("in context, the share of bars around is played too", () => {
    const ladder = aLadder(even(20), 60, 100, { inContext: { bars: 1, at: "top" } });
    const rungs = staircase(ladder, { start: bpm(60), bars: block.bars });
    const all = tollsOf({ block: { ...block, ladder }, rungs, cleanAt });
    expect(all.map(({ context }) => context !== null)).toEqual([false, false, true]);
    expect(all[2]!.context!.clean).toBeCloseTo(cleanAt(100) ** 1.25, 12);
  });

  test("by the clock, what doesn't fit is offered shorter, and then fits", () => {
    const clock = { gate: [{ kind: "clock-minutes", minutes: 2, back: false }], minutes: 10 };
    const span = { name: "comfort-span", numbers: { step: 6, steps: 2, hold: 60 } };
    for (const ladder of [
      aLadder(even(5), 60, 100, clock),
      aLadder(span, 80, 80, { minutes: 8 }),
    ]) {
      const offers = allOffers({ ...inputs, ladder });
      const shorter = offers.find(({ kind }) => kind === "lighter-gate");
      expect(shorter?.cost.fits).toBe(1);
    }
  });

  test("offers are better than the ladder itself, the best first, and fit when taken", () => {
    const ladder = aLadder(even(2), 60, 100, { minutes: 15, gate: row(5) });
    const offers = allOffers({ ...inputs, ladder });
    const kinds = (of: typeof offers) => of.map(({ kind }) => kind).sort();
    expect(kinds(offers)).toEqual(["days", "lighter-gate", "lower-target"]);
    // What would hardly ever fit is no way out.
    const short = allOffers({ ...inputs, ladder: { ...ladder, minutes: 6 } });
    expect(kinds(short)).toEqual(["days"]);
    const chances = offers.map(({ cost }) => cost.fits);
    for (const [i, chance] of chances.entries()) {
      if (i > 0) expect(chance).toBeLessThanOrEqual(chances[i - 1]! + 0.04);
    }
    expect(chances[0]).toBeGreaterThan(0.6);
  });

  test("what fits already is left alone", () => {
    expect(allOffers({ ...inputs, ladder: aLadder(even(10), 60, 80, { minutes: 30 }) })).toEqual(
      [],
    );
  });

  test("the share near the limit is that of its minutes; of a cycle only the fast plays", () => {
    const where = { start: bpm(60), bars: block.bars };
    const rungs = staircase(aLadder(even(20), 60, 100), where);
    expect(nearLimit(rungs, [6, 2, 2], 100)).toEqual({ share: 0.2, verdict: "right" });
    expect(nearLimit(rungs, [1, 1, 8], 100).verdict).toBe("much");
    const numbers = { step: 50, ratio: 2, slow: 1, fast: 1, mostFast: 1 };
    const cycles = staircase(aLadder({ name: "burst", numbers }, 50, 100), where);
    expect(nearLimit(cycles, [3], 100).share).toBeCloseTo(1 / 3, 12);
  });

  test("a table of chances is the function it was made from", () => {
    const again = cleanFrom(cleanTable(cleanAt), 1);
    fc.assert(
      fc.property(fc.double({ min: 10, max: 400, noNaN: true }), (tempo) => {
        expect(again(tempo)).toBeCloseTo(cleanAt(tempo), 2);
      }),
    );
    expect(cleanFrom(cleanTable(cleanAt), 0.5)(90)).toBeCloseTo(cleanAt(90) ** 0.5, 9);
  });
});
