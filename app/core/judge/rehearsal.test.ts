import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { beforeRehearsal, tempoTogether, toRehearse, type PlayerRecord } from "./rehearsal";

const span = (value: number, spread = 1.05) => ({
  low: value / spread,
  value,
  high: value * spread,
});
const player = (flawed: Readonly<Record<number, number>>, comfortable = 80): PlayerRecord => ({
  bars: new Map(
    Object.entries(flawed).map(([bar, here]) => [
      Number(bar),
      { plays: 30, flawed: 10, told: 5, here },
    ]),
  ),
  passages: [{ fromBar: 1, toBar: 8, comfortable: span(comfortable) }],
});

test("a bar is rehearsed when it fails for many; neighbours come together, the worst first", () => {
  const players = [
    player({ 1: 0, 3: 3, 4: 2, 7: 2 }),
    player({ 1: 0, 3: 4, 4: 2, 7: 0 }),
    player({ 1: 0, 3: 4, 4: 0, 7: 0 }),
  ];
  const bars = beforeRehearsal(8, players);
  expect(bars[2]).toMatchObject({ bar: 3, told: 3, failing: 3 });
  expect(bars[0]).toMatchObject({ bar: 1, told: 3, failing: 0 });
  expect(bars[1]).toMatchObject({ told: 0, failing: 0 });
  expect(toRehearse(bars)).toMatchObject([
    { fromBar: 3, toBar: 4, worst: { bar: 3 } },
    { fromBar: 7, toBar: 7 },
  ]);
});

test("fewer than five plays tell nothing, and a bar that nobody practises has no tempo", () => {
  const twice = { plays: 4, flawed: 4, told: 4, here: 4 };
  const once: PlayerRecord = { bars: new Map([[2, twice]]), passages: [] };
  expect(beforeRehearsal(2, [once])[1]).toEqual({
    bar: 2,
    told: 0,
    failing: 0,
    together: undefined,
  });
});

test("of twenty players two may be slower: the third slowest sets the tempo, surer the surer they are", () => {
  const players = Array.from({ length: 20 }, (_, n) => span(60 + n * 2, 1.001));
  const { low, value, high } = tempoTogether(players)!;
  expect(value).toBeCloseTo(64, 0);
  expect(high - low).toBeLessThan(0.5);
  const vague = tempoTogether(Array.from({ length: 20 }, (_, n) => span(60 + n * 2, 1.2)))!;
  expect(vague.high - vague.low).toBeGreaterThan(3);
});

test("a section is never faster for one more player who is as slow as its slowest", () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 30, max: 200, noNaN: true }), { minLength: 1, maxLength: 9 }),
      (tempi) => {
        const before = tempoTogether(tempi.map((each) => span(each)))!;
        const slowest = Math.min(...tempi);
        const after = tempoTogether([...tempi, slowest].map((each) => span(each)))!;
        expect(before.low).toBeLessThanOrEqual(before.value);
        expect(before.value).toBeLessThanOrEqual(before.high);
        if (tempi.length < 9) expect(after.value).toBeLessThanOrEqual(before.value * 1.0001);
      },
    ),
  );
});
