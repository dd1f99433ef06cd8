import { expect, test } from "@jest/globals";
import { SCHOOL_NAMES } from "~/core/ladder";
import { bpm } from "~/core/units";
import { check, firstDraft, fitted, newPhase, offeredDraft, samplePath } from "./draft";
import { chanceOfDraft } from "./reckoning";

const block = {
  fromBar: 5,
  toBar: 8,
  pickupBeats: 0,
  startBeats: 0,
  order: [],
  endBeats: 0,
  beatUnit: "quarter" as const,
  bars: [5, 6, 7, 8].map((number) => ({ number, metre: { beats: 3, unit: 4 } as const })),
  around: { before: [], after: [] },
};

test("a first draft is a ladder already, from well below the mark or the comfortable tempo", () => {
  expect(firstDraft(96, null)).toMatchObject({ start: 56, target: 96 });
  expect(firstDraft(96, 71.6)).toMatchObject({ start: 70, target: 96 });
  expect(firstDraft(96, 120).start).toBe(96);
  expect(check(firstDraft(96, null), block).ok).toBe(true);
});

test("the first ladder offered takes larger steps, then fewer plays, until it likely fits", () => {
  const told = (
    fits: (draft: { gate: unknown; phases: readonly { school: object }[] }) => number,
  ) => {
    const { phases, gate } = offeredDraft(96, null, fits);
    return [phases[0]!.school.numbers.step, gate[0]];
  };
  expect(told(() => 1)).toEqual([5, expect.objectContaining({ plays: 3 })]);
  expect(told(() => 0)).toEqual([30, expect.objectContaining({ plays: 2 })]);
  const known = { record: null, block, hardness: null, flaws: [] };
  const fits = chanceOfDraft(known, bpm(96));
  expect(fits(offeredDraft(96, null, fits))).toBeGreaterThanOrEqual(0.5);
});

test("a number that is missing or impossible is a sentence at its field", () => {
  const draft = firstDraft(96, null);
  const errors = (change: object) => {
    const checked = check({ ...draft, ...change }, block);
    return checked.ok ? {} : checked.errors;
  };
  expect(errors({ start: NaN })).toHaveProperty("start");
  expect(errors({ target: 40 }).target).toContain("below the start");
  const phases = [{ ...newPhase("layers"), school: { name: "layers", numbers: { layers: [] } } }];
  expect(errors({ phases })).toHaveProperty(["phases.0.school.numbers.layers"]);
  const over = { start: 390, target: 400, overspeed: { in: "bpm", beyond: 10 } };
  expect(errors(over).target).toContain("410");
});

test("every school has a path to be chosen by, and each path is its own", () => {
  const drawn = SCHOOL_NAMES.map((name) =>
    samplePath(name)
      .map(({ tempo, top, links, task }) => `${tempo} ${top} ${links?.to} ${task?.name}`)
      .join(),
  );
  expect(new Set(drawn).size).toBe(SCHOOL_NAMES.length);
});

test("a kept ladder is fitted to another target in proportion", () => {
  const checked = check({ ...firstDraft(100, 60), part: { fromBar: 5, toBar: 6 } }, block);
  if (!checked.ok) throw new Error(JSON.stringify(checked.errors));
  expect(fitted(checked.ladder, 80)).toMatchObject({ start: 48, target: 80, part: null });
});
