import { expect, test } from "@jest/globals";
import { aLadder, barsOf } from "~/core/ladder/test/fixtures";
import { bpm } from "~/core/units";
import { costRequestSchema } from "~/workers/protocol/cost";
import * as v from "valibot";
import { barsOfMostFlaws, reckoningFrom } from "./reckoning";

const block = {
  fromBar: 1,
  toBar: 8,
  pickupBeats: 0,
  endBeats: 0,
  beatUnit: "quarter" as const,
  bars: barsOf(8),
  around: { before: [], after: [] },
};
const flaws = (...counts: readonly (readonly [number, number])[]) =>
  counts.map(([bar, flawed]) => ({ bar, flawed }));

test("the bars of most flaws are the shortest run that holds most of them", () => {
  expect(barsOfMostFlaws(flaws([3, 9], [4, 4], [8, 2]), block)).toEqual({ fromBar: 2, toBar: 3 });
  expect(barsOfMostFlaws(flaws([3, 5], [4, 5], [8, 1]), block)).toEqual({ fromBar: 3, toBar: 4 });
  expect(barsOfMostFlaws([], block)).toBeNull();
  const everywhere = flaws(...barsOf(8).map(({ number }) => [number, 1] as const));
  expect(barsOfMostFlaws(everywhere, block)).toBeNull();
});

test("without plays it is the prior; with them it is the student", () => {
  const known = { target: bpm(96), block, flaws: [] };
  const prior = reckoningFrom({ ...known, reps: [] });
  expect(prior.weight).toBe(0);
  const rep = { tempo: bpm(90), verdict: "clean", daysAgo: 0, count: 20 } as const;
  const sure = reckoningFrom({ ...known, reps: [rep] });
  expect(sure.cleanAt(90)).toBeGreaterThan(prior.cleanAt(90));
  expect(sure.comfortable).toBeGreaterThan(prior.comfortable);
});

test("the question is one that the worker can read", () => {
  const ladder = aLadder({ name: "even-steps", numbers: { step: 5 } }, 60, 96);
  const reckoning = reckoningFrom({ target: bpm(96), block, flaws: flaws([2, 3]), reps: [] });
  const from = { start: ladder.start, place: { phase: 0, stage: 0 } };
  const question = { ...reckoning.question(ladder, from, true), id: 1 };
  const read = v.parse(costRequestSchema, structuredClone(question));
  expect(read.clean).toHaveLength(391);
  expect(read.flawedBars).toEqual({ fromBar: 1, toBar: 2 });
});
