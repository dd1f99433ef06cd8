import { expect, test } from "@jest/globals";
import { aLadder, barsOf } from "~/core/ladder/test/fixtures";
import { afterDay, firstLevel } from "~/core/record";
import { bpm } from "~/core/units";
import { costRequestSchema } from "~/workers/protocol/cost";
import * as v from "valibot";
import { reckoningFrom } from "./reckoning";

const block = {
  fromBar: 1,
  toBar: 8,
  pickupBeats: 0,
  startBeats: 0,
  order: [],
  endBeats: 0,
  beatUnit: "quarter" as const,
  bars: barsOf(8),
  around: { before: [], after: [] },
};
const flaws = (...counts: readonly (readonly [number, number])[]) =>
  counts.map(([bar, flawed]) => ({ bar, flawed }));

test("without plays it is the prior; with them it is the student", () => {
  const known = { target: bpm(96), block, hardness: null, flaws: [] };
  const prior = reckoningFrom({ ...known, record: null });
  expect(prior.plays).toBe(0);
  const rep = { tempo: bpm(90), verdict: "clean", count: 20 } as const;
  const level = afterDay(firstLevel(96), [rep]);
  const sure = reckoningFrom({ ...known, record: { level, most: 94.5, plays: 20 } });
  expect(sure.cleanAt(90)).toBeGreaterThan(prior.cleanAt(90));
  expect(sure.comfortable).toBeGreaterThan(prior.comfortable);
  expect(sure.comfortable).toBeLessThanOrEqual(94.5);
  const ceilings = [0, 0.5, 1].map((hardness) =>
    reckoningFrom({ ...known, hardness, record: null }),
  );
  const falling = ceilings.map(({ ceiling }) => ceiling);
  expect(falling).toEqual([...falling].sort((one, other) => other - one));
  expect(new Set(falling).size).toBe(3);
});

test("a ceiling that nothing came near is reckoned with, and not told", () => {
  const known = { target: bpm(120), block, hardness: null, flaws: [] };
  expect(reckoningFrom({ ...known, record: null }).ceilingMet).toBe(true);
  const level = afterDay(firstLevel(120), [{ tempo: bpm(60), verdict: "clean", count: 20 }]);
  const far = reckoningFrom({ ...known, record: { level, most: 65, plays: 20 } });
  expect([far.ceilingMet, far.ceiling > 65]).toEqual([false, true]);
  const near = reckoningFrom({ ...known, record: { level, most: 118, plays: 20 } });
  expect(near.ceilingMet).toBe(true);
});

test("the question is one that the worker can read", () => {
  const ladder = aLadder({ name: "even-steps", numbers: { step: 5 } }, 60, 96);
  const reckoning = reckoningFrom({
    target: bpm(96),
    block,
    hardness: null,
    flaws: flaws([1, 2], [2, 2]),
    record: null,
  });
  const from = { start: ladder.start, place: { phase: 0, stage: 0 } };
  const question = { ...reckoning.question(ladder, from, true), id: 1 };
  const read = v.parse(costRequestSchema, structuredClone(question));
  expect(read.clean).toHaveLength(391);
  expect(read.flawedBars).toEqual({ fromBar: 1, toBar: 2 });
});
