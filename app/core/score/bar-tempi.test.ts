import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { parseMetre, speedAt, timeInBar, timeInto } from "~/core/units";
import { barTempi, changeRefused, type PieceTempi } from "./bar-tempi";
import { resolveRegions } from "./region-links";
import type { TempoChange, TempoRegion } from "./regions";

const region = (fromBar: number, change: Partial<TempoRegion>): TempoRegion => ({
  id: String(fromBar),
  fromBar,
  unit: "quarter",
  target: { low: 60, high: 60 },
  words: "",
  subdivision: 1,
  link: null,
  ...change,
});
const piece = (changes: readonly TempoChange[] = [], ...more: TempoRegion[]): PieceTempi => ({
  bars: 8,
  metres: [{ fromBar: 1, metre: parseMetre("4/4")! }],
  regions: resolveRegions([region(1, {}), ...more]).regions,
  changes,
});
const rit = (change: Partial<Extract<TempoChange, { kind: "gradual" }>> = {}): TempoChange => ({
  kind: "gradual",
  bar: 3,
  beat: 3,
  beats: 6,
  percent: 50,
  back: false,
  through: false,
  ...change,
});

describe("an even change of tempo", () => {
  test("takes the time that its speed adds up to", () => {
    const speed = fc.double({ min: 0.2, max: 4, noNaN: true });
    fc.assert(
      fc.property(speed, speed, fc.double({ min: 0.1, max: 4, noNaN: true }), (v0, v1, length) => {
        const one = { from: 0, to: length, atFrom: v0, atTo: v1 };
        const steps = 2000;
        let sum = 0;
        for (let n = 0; n < steps; n++) {
          sum += length / steps / speedAt(one, ((n + 0.5) * length) / steps);
        }
        expect(timeInto(one, length)).toBeCloseTo(sum, 5);
        expect(timeInto(one, 0)).toBe(0);
      }),
    );
  });

  test("cut into bars it takes the same time", () => {
    const tempi = barTempi(piece([rit()]), 1);
    const bars = [3, 4].map((bar) => timeInBar(tempi.get(bar)!, 1));
    // Two beats at full tempo, then six from 1 to a half: n / ln(1/2) · (1 − 2).
    expect(bars[0]! + bars[1]!).toBeCloseTo(0.5 + 1.5 / Math.log(2), 12);
    expect(tempi.get(5)!.pieces).toEqual([{ from: 0, to: 1, atFrom: 0.5, atTo: 0.5 }]);
  });
});

describe("bars of a piece with tempi of their own", () => {
  test("go as their region does, told in its unit, and plain ones are left out", () => {
    const faster = region(5, { unit: "half", target: { low: 45, high: 45 } });
    const tempi = barTempi(piece([], faster), 1);
    expect([...tempi.keys()]).toEqual([5, 6, 7, 8]);
    expect(tempi.get(5)).toMatchObject({ unit: "half", pieces: [{ atFrom: 1.5, atTo: 1.5 }] });
    expect([...barTempi(piece([], faster), 5).keys()]).toEqual([1, 2, 3, 4]);
  });

  test("a tempo again after it, and none of it where it is left out", () => {
    expect(barTempi(piece([rit({ back: true })]), 1).get(5)!.pieces[0]!.atFrom).toBe(1);
    expect(barTempi(piece([rit()]), 1, true).size).toBe(0);
  });

  test("the click falls silent from the second beat, and counts for a bar when it is back", () => {
    const tempi = barTempi(piece([rit()]), 1);
    expect(tempi.get(3)!.silent).toEqual([{ from: 0.75, to: 1 }]);
    expect(tempi.get(4)!.silent).toEqual([{ from: 0, to: 1 }]);
    expect(tempi.get(5)!.counted).toEqual([{ from: 0, to: 1 }]);
    expect(barTempi(piece([rit({ through: true })]), 1).get(3)!.silent).toEqual([]);
  });

  test("a fermata holds its beat so many in all; a breath comes after its beat", () => {
    const held = { kind: "fermata", bar: 2, beat: 4, beats: 3, through: false } as const;
    const tempi = barTempi(piece([held, { ...held, kind: "breath", beat: 1, beats: 1 }]), 1);
    expect(tempi.get(2)!.holds).toEqual([
      { at: 0.25, longer: 0.25 },
      { at: 1, longer: 0.5 },
    ]);
    expect(timeInBar(tempi.get(2)!, 1)).toBeCloseTo(1.75, 12);
    expect(timeInBar(tempi.get(2)!, 0.75)).toBeCloseTo(1, 12);
  });

  test.each([
    [rit({ bar: 9 }), /beyond the last/],
    [rit({ beat: 5 }), /no beat 5/],
    [rit({ bar: 8 }), /go beyond bar 8/],
    [rit({ percent: 500, bar: 1 }), undefined],
    [rit({ percent: 15 + 1, bar: 1 }), /outside 10–400/],
  ] as const)("is refused where it can't be: %#", (change, sentence) => {
    const told = changeRefused(piece([change]), change);
    if (sentence) expect(told).toMatch(sentence);
    else expect(told).toBeUndefined();
  });

  test("an accelerando through 400, and two at once, are refused", () => {
    const fast = piece([], region(5, { target: { low: 300, high: 300 } }));
    expect(changeRefused(fast, rit({ bar: 6, percent: 150 }))).toMatch(/450 bpm/);
    const [one, other] = [rit(), rit({ bar: 4, beat: 1, beats: 2 })];
    expect(changeRefused(piece([one, other]), one)).toMatch(/overlap/);
  });
});
