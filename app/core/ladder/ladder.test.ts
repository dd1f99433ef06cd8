import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import * as v from "valibot";
import { bpm } from "~/core/units";
import {
  fieldsOf,
  ladderSchema,
  rungAbove,
  rungBelow,
  SCHOOL_NAMES,
  staircase,
  todaysStart,
  unroll,
  type ChosenSchool,
  type StartRule,
} from ".";

const even = (step: number): ChosenSchool => ({ name: "even-steps", numbers: { step } });
const percent: ChosenSchool = {
  name: "percent-steps",
  numbers: { percent: 10, percentAbove: 5, knee: 75, least: 2 },
};
const tempi = (school: ChosenSchool, start: number, target: number) =>
  staircase({ school, target: bpm(target) }, bpm(start)).map(({ tempo }) => tempo as number);

const ladder = {
  school: even(8),
  start: 54,
  target: 90,
  startRule: { kind: "where-ended" },
  gate: { kind: "in-a-row", plays: 3, afterFlawed: "reset" },
  offerAfter: 4,
  rest: 0,
  minutes: 10,
  hidden: false,
  countInBars: 1,
  subdivision: 1,
};

describe("schools", () => {
  test("even steps 54 to 90 by 8", () => {
    expect(tempi(even(8), 54, 90)).toEqual([54, 62, 70, 78, 86, 90]);
  });

  test("percent steps 48 to 96, 10 % then 5 % above three quarters of the target", () => {
    expect(tempi(percent, 48, 96)).toEqual([48, 53, 58, 64, 70, 77, 81, 85, 89, 93, 96]);
  });

  test("whatever the numbers, a ladder rises in whole bpm from its start to exactly its target", () => {
    const school = fc.oneof(
      fc.integer({ min: 1, max: 50 }).map(even),
      fc
        .record({
          percent: fc.integer({ min: 1, max: 50 }),
          percentAbove: fc.integer({ min: 1, max: 50 }),
          knee: fc.integer({ min: 10, max: 100 }),
          least: fc.integer({ min: 1, max: 20 }),
        })
        .map((numbers): ChosenSchool => ({ name: "percent-steps", numbers })),
    );
    const ends = fc
      .tuple(fc.integer({ min: 10, max: 400 }), fc.integer({ min: 10, max: 400 }))
      .map(([a, b]) => [Math.min(a, b), Math.max(a, b)] as const);
    fc.assert(
      fc.property(school, ends, (chosen, [start, target]) => {
        const rungs = tempi(chosen, start, target);
        expect(rungs[0]).toBe(start);
        expect(rungs.at(-1)).toBe(target);
        rungs.forEach((tempo, i) => {
          expect(Number.isInteger(tempo)).toBe(true);
          if (i > 0) expect(tempo).toBeGreaterThan(rungs[i - 1]!);
        });
      }),
    );
  });

  test("unrolling is lazy: the first rung costs nothing of the rest", () => {
    const rungs = unroll({ school: even(1), target: bpm(400) }, bpm(10));
    expect(rungs.next().value).toEqual({ index: 0, tempo: 10 });
    rungs.return();
  });

  test("the starting numbers of every school pass its own schema", () => {
    for (const name of SCHOOL_NAMES) {
      const numbers = Object.fromEntries(fieldsOf(name).map(({ key, initial }) => [key, initial]));
      expect(v.safeParse(ladderSchema, { ...ladder, school: { name, numbers } }).success).toBe(
        true,
      );
    }
  });
});

describe("a ladder from outside", () => {
  const field = (change: object) => {
    const result = v.safeParse(ladderSchema, { ...ladder, ...change });
    return result.success ? [] : Object.keys(v.flatten(result.issues).nested ?? {});
  };

  test("bad numbers are refused at their field", () => {
    expect(field({ target: 50 })).toEqual(["target"]);
    expect(field({ target: 401 })).toEqual(["target"]);
    expect(field({ subdivision: 8, target: 200 })).toEqual(["subdivision"]);
    expect(field({ start: 9 })).toEqual(["start"]);
    expect(field({ school: even(0) })).toEqual(["school.numbers.step"]);
  });
});

describe("live stepping", () => {
  const rungs = staircase({ school: even(8), target: bpm(90) }, bpm(54));

  test("a tempo nudged by hand finds its way back onto the staircase", () => {
    expect(rungAbove(rungs, bpm(60))?.tempo).toBe(62);
    expect(rungAbove(rungs, bpm(66))?.tempo).toBe(70);
    expect(rungAbove(rungs, bpm(90))).toBeUndefined();
  });

  test("going down k steps stops at the bottom", () => {
    expect(rungBelow(rungs, bpm(70), 1)?.tempo).toBe(62);
    expect(rungBelow(rungs, bpm(70), 2)?.tempo).toBe(54);
    expect(rungBelow(rungs, bpm(66), 1)?.tempo).toBe(62);
    expect(rungBelow(rungs, bpm(54), 3)?.tempo).toBe(54);
  });
});

describe("where today starts", () => {
  const evidence = {
    first: bpm(54),
    target: bpm(90),
    ended: bpm(78),
    comfortable: 66.7,
    staircase: [54, 62, 70, 78, 86, 90].map(bpm),
  };
  const start = (rule: StartRule, change = {}) => todaysStart(rule, { ...evidence, ...change });

  test("each rule reads its own evidence", () => {
    expect(start({ kind: "half-of-target" })).toBe(45);
    expect(start({ kind: "percent-of-target", percent: 75 })).toBe(68);
    expect(start({ kind: "comfortable" })).toBe(66);
    expect(start({ kind: "where-ended" })).toBe(78);
    expect(start({ kind: "where-ended-less", steps: 2 })).toBe(62);
  });

  test("without a record it is the start that was set", () => {
    const nothing = { ended: undefined, comfortable: undefined };
    for (const rule of [
      { kind: "comfortable" },
      { kind: "where-ended" },
      { kind: "where-ended-less", steps: 1 },
    ] as const) {
      expect(start(rule, nothing)).toBe(54);
    }
  });

  test("it never lies above the target or outside 10–400", () => {
    expect(start({ kind: "where-ended" }, { ended: bpm(120) })).toBe(90);
    expect(start({ kind: "half-of-target" }, { target: bpm(12) })).toBe(10);
  });
});
