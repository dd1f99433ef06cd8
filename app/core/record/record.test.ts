import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { bpm } from "~/core/units";
import { cleanProbability, estimate, tempoAt, type RecordedRep } from ".";

const rep = (tempo: number, clean: boolean, daysAgo = 0): RecordedRep => ({
  tempo: bpm(tempo),
  verdict: clean ? "clean" : "flawed",
  daysAgo,
});

function repsOf(ceiling: number, count: number, daysAgo = 0): RecordedRep[] {
  let seed = 11;
  const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
  const curve = { centre: Math.log(ceiling), width: 0.08 };
  return Array.from({ length: count }, () => {
    const tempo = Math.round(ceiling * (0.7 + 0.5 * random()));
    return rep(tempo, random() < cleanProbability(curve, tempo), daysAgo);
  });
}

describe("comfortable tempo and ceiling", () => {
  test("without a play they are the stated prior, wide and in order", () => {
    const { comfortable, ceiling, weight } = estimate([], bpm(100));
    expect(weight).toBe(0);
    expect(comfortable.value).toBeLessThan(ceiling.value);
    expect(ceiling.high / ceiling.low).toBeGreaterThan(2);
  });

  test("one clean play lifts them a little, one flawed play lowers them", () => {
    const before = estimate([], bpm(100)).ceiling.value;
    expect(estimate([rep(80, true)], bpm(100)).ceiling.value).toBeGreaterThan(before);
    expect(estimate([rep(80, false)], bpm(100)).ceiling.value).toBeLessThan(before);
  });

  test("a thousand plays find the true curve, and say that they are sure", () => {
    const { ceiling, comfortable } = estimate(repsOf(92, 1000), bpm(140));
    expect(Math.abs(ceiling.value / 92 - 1)).toBeLessThan(0.03);
    const truth = tempoAt({ centre: Math.log(92), width: 0.08 }, 0.9);
    expect(Math.abs(comfortable.value / truth - 1)).toBeLessThan(0.05);
    expect(ceiling.high / ceiling.low).toBeLessThan(1.1);
  });

  test("recent plays outweigh old ones", () => {
    const old = repsOf(60, 60, 40);
    const recent = repsOf(100, 60, 0);
    expect(estimate([...old, ...recent], bpm(120)).ceiling.value).toBeGreaterThan(85);
  });

  test("they never leave 10–400 and never cross, whatever was played", () => {
    const reps = fc.array(
      fc.record({
        tempo: fc.integer({ min: 10, max: 400 }).map(bpm),
        verdict: fc.constantFrom("clean" as const, "flawed" as const),
        daysAgo: fc.integer({ min: 0, max: 400 }),
      }),
      { maxLength: 60 },
    );
    fc.assert(
      fc.property(reps, fc.integer({ min: 10, max: 400 }), (played, target) => {
        const { comfortable, ceiling } = estimate(played, bpm(target));
        for (const { low, value, high } of [comfortable, ceiling]) {
          expect(low).toBeGreaterThanOrEqual(10);
          expect(high).toBeLessThanOrEqual(400);
          expect(low <= value && value <= high).toBe(true);
        }
        expect(comfortable.value).toBeLessThanOrEqual(ceiling.value);
      }),
      { numRuns: 60 },
    );
  });
});
