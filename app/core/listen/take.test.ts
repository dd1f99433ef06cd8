import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { barsInTake, clappedDelay, findMark, roundTripOf, takeMark } from ".";

const RATE = 44_100;

describe("the mark of a recording", () => {
  test("is found to the sample wherever it lies, also softer and with noise behind it", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: RATE }),
        fc.double({ min: 0.5, max: 1, noNaN: true }),
        fc.integer({ min: 1, max: 2 ** 31 - 2 }),
        (at, level, seed) => {
          const samples = new Float32Array(at + RATE / 2);
          takeMark(RATE).forEach((sample, i) => (samples[at + i] = level * sample));
          let state = seed;
          for (let i = at + 3000; i < samples.length; i++) {
            state = (state * 48271) % 2147483647;
            samples[i] = state / 2147483647 - 0.5;
          }
          expect(findMark(samples, RATE)).toBe(at);
        },
      ),
      { numRuns: 30 },
    );
  });

  test("is not found where there is none", () => {
    expect(findMark(new Float32Array(RATE), RATE)).toBeUndefined();
  });
});

/** Clicks of 20 ms that come back after a delay over noise. */
function room(clicks: readonly number[], delay: number, noise: number) {
  const samples = new Float32Array(RATE * 4);
  let state = 5;
  for (let i = 0; i < samples.length; i++) {
    state = (state * 48271) % 2147483647;
    samples[i] = noise * (state / 2147483647 - 0.5);
  }
  for (const click of clicks) {
    const first = Math.round((click + delay - 10) * RATE);
    for (let i = 0; i < 0.02 * RATE; i++) {
      samples[first + i]! += 0.3 * Math.exp(-i / 200) * Math.sin(i / 4);
    }
  }
  return { from: 10, sampleRate: RATE, samples };
}

describe("the round trip", () => {
  const clicks = [10.5, 11, 11.5, 12];

  test("is found within 3 ms for delays of 20 to 300 ms", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 0.3, noNaN: true }), (delay) => {
        const found = roundTripOf(room(clicks, delay, 0.01), clicks);
        expect(Math.abs(found! - delay)).toBeLessThan(0.003);
      }),
      { numRuns: 40 },
    );
  });

  test("is not guessed: headphones, one click alone, or clicks that don't agree", () => {
    expect(roundTripOf(room([], 0.1, 0.02), clicks)).toBeUndefined();
    expect(roundTripOf(room([10.5], 0.1, 0.001), clicks)).toBeUndefined();
    expect(roundTripOf(room([10.5, 11.07, 11.69, 12.3], 0.1, 0.001), clicks)).toBeUndefined();
  });
});

test("clapping along tells how much later one is heard, unsteady by some 20 ms as hands are", () => {
  const clicks = [10.5, 11.1, 11.7, 12.3, 12.9];
  fc.assert(
    fc.property(
      fc.double({ min: -0.08, max: 0.25, noNaN: true }),
      fc.array(fc.double({ min: -0.02, max: 0.02, noNaN: true }), { minLength: 5, maxLength: 5 }),
      (delay, unsteady) => {
        const claps = clicks.map((click, n) => click + unsteady[n]!);
        const found = clappedDelay(room(claps, delay, 0.01), clicks);
        expect(Math.abs(found! - delay)).toBeLessThan(0.025);
      },
    ),
    { numRuns: 40 },
  );
  expect(clappedDelay(room(clicks.slice(0, 2), 0.1, 0.01), clicks)).toBeUndefined();
  const nowhere = clicks.map((click, n) => click + [0, 0.2, -0.1, 0.25, 0.1][n]!);
  expect(clappedDelay(room(nowhere, 0.05, 0.01), clicks)).toBeUndefined();
});

test("bars lie later in a recording by the round trip, count-in left out", () => {
  const bar = { duration: 2, beats: [0, 1] };
  const bars = [
    { ...bar, part: "count-in", number: 1, start: 0 },
    { ...bar, part: "play", number: 5, start: 2, beats: [2, 3] },
    // The play was broken off before it.
    { ...bar, part: "play", number: 6, start: 4, beats: [4, 5] },
  ];
  const clock = { start: 20, mark: 19, markAt: 0.25, roundTrip: 0.1, until: 5 };
  expect(barsInTake(bars, clock)).toEqual([{ bar: 5, at: 3.35, duration: 2, beats: [3.35, 4.35] }]);
});
