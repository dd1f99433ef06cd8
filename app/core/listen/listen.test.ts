import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { tappedTempo, timingAgainst } from ".";

const taps = (bpm: number, count: number, shift: (i: number) => number = () => 0) =>
  Array.from({ length: count }, (_, i) => 1000 + (i * 60_000) / bpm + shift(i));
/** The same numbers at each run. */
let state = 7;
const random = () => (state = (state * 48271) % 2147483647) / 2147483647;
/** Roughly normal, s.d. 1. */
const wobble = () => Array.from({ length: 12 }, random).reduce((a, b) => a + b, 0) - 6;

describe("a tapped tempo", () => {
  test("even taps are the tempo exactly, and steady", () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 400 }), fc.integer({ min: 4, max: 16 }), (bpm, n) => {
        const found = tappedTempo(taps(bpm, n))!;
        expect(found.bpm).toBeCloseTo(bpm, 6);
        expect(found.spread).toBeLessThan(1e-6);
        expect(found.missed).toBe(0);
      }),
    );
  });

  test("a missed tap changes nothing, wherever it is", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10 }), (at) => {
        const found = tappedTempo(taps(88, 12).filter((_, i) => i !== at))!;
        expect(found.bpm).toBeCloseTo(88, 6);
        expect(found.missed).toBe(1);
      }),
    );
  });

  test("a tap that bounced is one tap", () => {
    const bounced = [...taps(72, 10), 1000 + 833.3 * 4 + 60].sort((a, b) => a - b);
    expect(tappedTempo(bounced)!.bpm).toBeCloseTo(72, 1);
  });

  test("with human taps it is right within two percent, and says how unsteady they were", () => {
    for (let n = 0; n < 200; n++) {
      const found = tappedTempo(taps(96, 12, () => 20 * wobble()))!;
      expect(Math.abs(found.bpm / 96 - 1)).toBeLessThan(0.02);
      expect(found.spread).toBeGreaterThan(7);
      expect(found.spread).toBeLessThan(38);
    }
  });

  test("after a pause only what follows counts; too few taps are none", () => {
    const later = taps(120, 6).map((time) => time + 20_000);
    expect(tappedTempo([...taps(60, 8), ...later])!.bpm).toBeCloseTo(120, 6);
    expect(tappedTempo(taps(60, 3))).toBeUndefined();
    expect(tappedTempo([])).toBeUndefined();
  });
});

describe("the spread of taps along a play", () => {
  const beats = Array.from({ length: 12 }, (_, i) => i * 0.5);

  test("a constant lag is no unevenness", () => {
    const late = timingAgainst(
      beats.map((at) => at + 0.06),
      beats,
    )!;
    expect([late.spread, late.bias]).toEqual([expect.closeTo(0, 9), expect.closeTo(0.06, 9)]);
  });

  test("early and late in turn is", () => {
    const uneven = beats.map((at, i) => at + (i % 2 ? 0.02 : -0.02));
    expect(timingAgainst(uneven, beats)!.spread).toBeCloseTo(0.0209, 3);
  });

  test("beats that nobody met and onsets of no beat are counted", () => {
    const [first, ...others] = beats;
    const onsets = [...others, first! + 0.49 * (others[0]! - first!)].sort((a, b) => a - b);
    const { missed, extra, offsets } = timingAgainst(onsets, beats)!;
    expect({ missed, extra, met: offsets.length }).toEqual({
      missed: 1,
      extra: 1,
      met: beats.length - 1,
    });
  });

  test("with too few beats met nothing is said", () => {
    expect(timingAgainst(beats.slice(0, 5), beats)).toBeUndefined();
    expect(timingAgainst([], beats)).toBeUndefined();
  });
});
