import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { aLadder, barsOf } from "~/core/ladder/test/fixtures";
import { initialNumbers, staircase, type SchoolName } from "~/core/ladder";
import { bpm } from "~/core/units";
import { stepsFrom } from "./rung-lane";
import { labelledTempi, staircaseShape, type Step } from "./staircase-shape";

const FRAME = { left: 40, right: 440, top: 20, bottom: 220, lane: [240, 300] as const };
const SCALE = { lowest: 50, highest: 100 };
const step = (tempo: number, minutes = 1, change: Partial<Step> = {}): Step => ({
  tempo,
  minutes,
  status: "ahead",
  ...change,
});
const boxes = (path: string) => path.split("M").length - 1;

describe("the shape of a staircase", () => {
  test("fills its width from left to right, a long rung longer than a short one", () => {
    const minutes = fc.array(fc.double({ min: 0, max: 1e6, noNaN: true }), {
      minLength: 1,
      maxLength: 60,
    });
    fc.assert(
      fc.property(minutes, (each) => {
        const { spans } = staircaseShape(
          each.map((m) => step(60, m)),
          FRAME,
          SCALE,
        );
        const last = spans.at(-1)!;
        expect(spans[0]!.x).toBe(FRAME.left);
        expect(Math.abs(last.x + last.length - FRAME.right)).toBeLessThan(0.2);
        spans.slice(1).forEach(({ x }, i) => {
          expect(x).toBeGreaterThanOrEqual(spans[i]!.x);
          if (each[i + 1]! > each[i]!) {
            expect(spans[i + 1]!.length).toBeGreaterThanOrEqual(spans[i]!.length);
          }
        });
      }),
      { examples: [[[0]], [[0, 0, 0]]] },
    );
  });

  test("height is tempo, the same above for every unit", () => {
    const { y } = staircaseShape([step(60)], FRAME, SCALE);
    expect(y(50)).toBe(FRAME.bottom);
    expect(y(100)).toBe(FRAME.top);
    expect(y(60) - y(70)).toBeCloseTo(y(80) - y(90), 1);
  });

  test("what has passed, what is now and what lies ahead are one path each", () => {
    const steps = [
      step(60, 1, { status: "passed" }),
      step(70, 1, { status: "passed" }),
      step(80, 1, { status: "now" }),
      step(90, 1, { phase: 1 }),
    ];
    const { treads, risers, edges } = staircaseShape(steps, FRAME, SCALE);
    expect([treads.passed, treads.now, treads.ahead].map(boxes)).toEqual([2, 1, 1]);
    expect(boxes(risers)).toBe(3);
    expect(edges).toHaveLength(1);
  });

  test("endless minutes, and none at all, are drawn as well", () => {
    const { treads } = staircaseShape([step(60, Infinity), step(70, 0)], FRAME, SCALE);
    expect(treads.ahead).not.toMatch(/NaN|Infinity/);
  });
});

describe("the lane under the stairs", () => {
  const lanes = (name: SchoolName) => {
    const ladder = aLadder({ name, numbers: initialNumbers(name) }, 60, 90);
    const rungs = staircase(ladder, { start: bpm(60), bars: barsOf(3) });
    return stepsFrom(rungs).map(({ lane }) => lane);
  };

  test("tells links, clicks, notes and layers, and is empty where simply all is played", () => {
    expect(lanes("even-steps").every((lane) => lane === undefined)).toBe(true);
    expect(lanes("woven-chain").at(-1)).toEqual({ kind: "links", from: 1, to: 3, of: 3 });
    expect(lanes("layers").map((lane) => lane?.kind === "layers" && lane.count)).toEqual([
      1, 2, 3, 4,
    ]);
    const ladder = aLadder({ name: "layers", numbers: initialNumbers("layers") }, 60, 90);
    const place = { phase: 0, stage: 2 };
    const dayTwo = staircase(ladder, { start: bpm(60), bars: barsOf(3), place, again: true });
    // The layer that was passed leads in, then the third of four.
    expect(stepsFrom(dayTwo).map(({ lane }) => lane?.kind === "layers" && lane.count)).toEqual([
      2, 3, 4,
    ]);
    const ticks = (name: SchoolName) =>
      lanes(name).map((lane) => (lane?.kind === "ticks" ? lane.at.length : -1));
    expect(ticks("rhythm")).toEqual([1, 2, 4, 8, 12, 16]);
    expect(ticks("withdraw").slice(0, 5)).toEqual([16, 8, 8, 2, 1]);
    expect(ticks("withdraw").at(-1)).toBe(0);
  });

  test("the first link lies at the bottom, all of them fill it", () => {
    const drawn = (from: number, to: number) => {
      const lane = { kind: "links", from, to, of: 3 } as const;
      return staircaseShape([step(60, 1, { lane })], FRAME, SCALE).lanes.ahead;
    };
    expect(drawn(1, 1)).toMatch(/^M40 280h/);
    expect(drawn(1, 3)).toMatch(/^M40 240h/);
  });
});

test("labels from the top down, none closer than a line to the one before", () => {
  const y = (tempo: number) => 200 - tempo;
  expect(labelledTempi([60, 65, 70, 90, 60], y, 10)).toEqual([90, 70, 60]);
});
