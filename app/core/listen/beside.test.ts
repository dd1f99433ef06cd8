import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { areBeside, momentBeside, peaksBeside, type TakeBar } from "./index";

/** A play from bar `first` on: so many seconds a beat in each bar, four beats, beginning at `at`. */
function played(first: number, at: number, beats: readonly number[]): TakeBar[] {
  let now = at;
  return beats.map((beat, index) => {
    const bar = {
      bar: first + index,
      at: now,
      duration: 4 * beat,
      beats: [0, 1, 2, 3].map((n) => now + n * beat),
    };
    now += 4 * beat;
    return bar;
  });
}

const beat = fc.double({ min: 0.2, max: 2, noNaN: true });
const lead = fc.double({ min: 0, max: 3, noNaN: true });

describe("two takes of the same bars", () => {
  test("a beat of the one is the same beat of the other, and back again", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(beat, beat), { minLength: 1, maxLength: 8 }),
        lead,
        lead,
        fc.double({ min: -1, max: 40, noNaN: true }),
        (bars, leadA, leadB, at) => {
          const a = played(
            5,
            leadA,
            bars.map(([each]) => each),
          );
          const b = played(
            5,
            leadB,
            bars.map(([, each]) => each),
          );
          const there = momentBeside(a, b);
          a.forEach(({ beats }, index) =>
            beats.forEach((each, n) => expect(there(each)).toBeCloseTo(b[index]!.beats[n]!, 6)),
          );
          expect(momentBeside(b, a)(there(at))).toBeCloseTo(at, 5);
        },
      ),
    );
  });

  test("one that was broken off shares what was played of it", () => {
    const whole = played(5, 0, [0.5, 0.5, 0.5]);
    const short = played(5, 1, [0.25, 0.25]);
    expect(areBeside(whole, short)).toBe(true);
    expect(areBeside(whole, played(6, 0, [0.5]))).toBe(false);
    // A beat into its third bar: as long after the last bar line that both have.
    expect(momentBeside(whole, short)(4.5)).toBeCloseTo(1 + 2 + 0.5, 9);
  });

  test("a waveform is drawn over the other's bars: what was loud in a beat is loud there", () => {
    const grid = played(1, 0, [0.5, 0.5]);
    const slow = played(1, 0, [1, 1]);
    const peaks = Array.from({ length: 400 }, (_, n) => (n === 250 ? 1 : 0.1));
    const drawn = peaksBeside(peaks, 0.02, 4, momentBeside(grid, slow));
    expect(drawn).toHaveLength(200);
    expect(drawn.indexOf(1)).toBe(125);
  });
});
