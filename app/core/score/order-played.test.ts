import { expect, test } from "@jest/globals";
import { orderPlayed, orderWithin, type ScoreBar } from ".";
import { aScore } from "./test/fixtures";

const played = (bars: readonly Partial<ScoreBar>[], pickup = false) =>
  orderPlayed(aScore(bars, pickup));

test("without signs every bar is played once; a pickup is bar 0", () => {
  expect(played([{}, {}, {}])).toEqual([1, 2, 3]);
  expect(played([{}, {}], true)).toEqual([0, 1]);
});

test("repeats go back to where they begin, as often as they say", () => {
  expect(played([{}, { repeatTimes: 2 }, {}])).toEqual([1, 2, 1, 2, 3]);
  expect(played([{}, { repeatFrom: true }, { repeatTimes: 3 }])).toEqual([1, 2, 3, 2, 3, 2, 3]);
});

test("each round has its ending", () => {
  const first = { endings: [1], repeatTimes: 2 };
  expect(played([{}, first, { endings: [2] }, {}])).toEqual([1, 2, 1, 3, 4]);
  const two = { endings: [1, 2], repeatTimes: 3 };
  expect(played([{}, two, { endings: [3] }])).toEqual([1, 2, 1, 2, 1, 3]);
});

test("da capo al fine and dal segno al coda, repeats left out after the jump", () => {
  const daCapo = [{ repeatTimes: 2 }, { jumps: ["fine"] }, { jumps: ["da-capo"] }] as const;
  expect(played(daCapo as never)).toEqual([1, 1, 2, 3, 1, 2]);
  const dalSegno = [
    {},
    { jumps: ["segno"] },
    { jumps: ["to-coda"] },
    { jumps: ["dal-segno"] },
    { jumps: ["coda"] },
  ];
  expect(played(dalSegno as never)).toEqual([1, 2, 3, 4, 2, 3, 5]);
});

test("signs that lead nowhere, or in a circle, end", () => {
  expect(played([{}, { jumps: ["dal-segno"] }, {}])).toEqual([1, 2, 3]);
  expect(played([{ jumps: ["segno", "dal-segno"] }]).length).toBeLessThan(4);
});

test("of some bars the repeats are made that lie wholly in them", () => {
  const ending = { endings: [1], repeatTimes: 2 };
  const score = aScore([
    {},
    { repeatTimes: 2 },
    { repeatFrom: true },
    ending,
    { endings: [2] },
    {},
  ]);
  const within = (fromBar: number, toBar: number) => orderWithin(score, { fromBar, toBar });
  expect(within(3, 6)).toEqual([3, 4, 3, 5, 6]);
  expect(within(2, 3)).toEqual([2, 3]);
  expect(within(4, 5)).toEqual([4, 5]);
  expect(within(1, 2)).toEqual([1, 2, 1, 2]);
});
