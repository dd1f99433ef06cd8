import { expect, test } from "@jest/globals";
import { staircase } from "~/core/ladder";
import { aLadder, barsOf } from "~/core/ladder/test/fixtures";
import { bpm } from "~/core/units";
import { playsWithin, trackLoops, trackSeconds, wordsBegin } from "./track";

const bars = barsOf(2);
const block = {
  fromBar: 1,
  toBar: 2,
  pickupBeats: 0,
  startBeats: 0,
  endBeats: 0,
  order: [],
  beatUnit: "quarter" as const,
  bars,
  around: { before: [], after: [] },
};
const ladder = aLadder({ name: "even-steps", numbers: { step: 40 } }, 80, 120, { rest: 10 });
const rungs = staircase(ladder, { start: bpm(80), bars });
const parts = [{ block, rungs }];

test("a track plays each rung so often, counted in once where plays follow in time", () => {
  const loops = [...trackLoops(parts, { plays: 3, pauses: false })];
  expect(loops.map(({ rung }) => rung)).toEqual([0, 0, 0, 1, 1, 1]);
  const counted = loops.map(({ map }) => map.bars.filter(({ part }) => part === "count-in").length);
  expect(counted).toEqual([1, 0, 0, 1, 0, 0]);
  // A bar of count and three times two bars at 80, a rest, the same at 120.
  expect(trackSeconds(parts, { plays: 3, pauses: false })).toBe(21 + 10 + 14);
  // Only the new tempo is announced.
  const cued = loops.map(({ map }) => map.clicks.some(({ voice }) => voice === "cue"));
  expect(cued).toEqual([false, false, false, true, false, false]);
});

test("a track is fitted to a length by its plays", () => {
  const announced = [...trackLoops(parts, { plays: 1, pauses: false, announced: true })];
  const beeps = announced.filter(({ map }) => map.bars.length === 0);
  expect(beeps.map(({ map }) => map.clicks.length)).toEqual(rungs.map((_, at) => at + 1));
  const plays = playsWithin(parts, { pauses: false }, 60);
  expect(trackSeconds(parts, { plays, pauses: false })).toBeLessThanOrEqual(60);
  expect(trackSeconds(parts, { plays: plays + 1, pauses: false })).toBeGreaterThan(60);
  expect(playsWithin(parts, { pauses: true }, 1)).toBe(1);
});

test("a session is one ladder after the other, with time to turn the page", () => {
  const wish = { plays: 2, pauses: false };
  const one = trackSeconds(parts, wish);
  const two = [...parts, ...parts];
  expect(trackSeconds(two, wish)).toBe(one + 15 + one);
  const second = [...trackLoops(two, wish)].filter(({ part }) => part === 1);
  expect(second[0]).toMatchObject({ start: one + 15, rung: 0 });
});

test("what is said stands before its ladder, after the page was turned", () => {
  const wish = { plays: 2, pauses: false };
  const one = trackSeconds(parts, wish);
  const two = [...parts, { ...parts[0]!, word: 4 }];
  expect(wordsBegin(two, wish)).toEqual([undefined, one + 15]);
  expect(trackSeconds(two, wish)).toBe(one + 15 + 4 + 1 + one);
});
