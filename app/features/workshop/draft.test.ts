import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { SCHOOL_NAMES } from "~/core/ladder";
import { bpm } from "~/core/units";
import { check, fitted, newPhase } from "./draft";
import { firstDraft, offeredDraft } from "./first-offer";
import { samplePath } from "./sample-path";
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

describe("the first ladder offered", () => {
  const range = { fromBar: 1, toBar: 16 };
  type Fits = Parameters<typeof offeredDraft>[3];
  const told = (fits: Fits) => {
    const { phases, gate, start, target, part } = offeredDraft(96, null, range, fits);
    return { step: phases[0]!.school.numbers.step, gate: gate[0], start, target, part };
  };

  test("takes larger steps, then fewer plays, a lower target, fewer bars until it likely fits", () => {
    const three = expect.objectContaining({ plays: 3 });
    const whole = { start: 56, target: 96, part: null };
    expect(told(() => 1)).toEqual({ ...whole, step: 5, gate: three });
    expect(told(({ target }) => (target < 90 ? 1 : 0))).toMatchObject({ target: 85, part: null });
    expect(told(({ part }) => (part ? 1 : 0))).toMatchObject({
      ...{ step: 5, target: 96, part: { fromBar: 1, toBar: 8 } },
    });
    expect(told(() => 0)).toMatchObject({ part: { fromBar: 1, toBar: 2 } });
  });

  test("is never a single leap, and likely fits, also where sixteen bars are slow", () => {
    const bars = Array.from({ length: 16 }, (_, i) => ({
      number: i + 1,
      metre: { beats: 4, unit: 4 } as const,
    }));
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 160 }), fc.integer({ min: 1, max: 16 }), (full, n) => {
        const few = { ...block, bars: bars.slice(0, n), fromBar: 1, toBar: n };
        const known = { record: null, block: few, hardness: null, flaws: [] };
        const fits = chanceOfDraft(known, bpm(full));
        const draft = offeredDraft(full, null, { fromBar: 1, toBar: n }, fits);
        expect(fits(draft)).toBeGreaterThanOrEqual(0.5);
        const checked = check(draft, few);
        const tempi = checked.ok ? new Set(checked.rungs.map(({ tempo }) => tempo)).size : 0;
        expect(tempi).toBeGreaterThanOrEqual(3);
      }),
      { numRuns: 30 },
    );
  });
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
