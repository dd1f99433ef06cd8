import { describe, expect, test } from "@jest/globals";
import { goalLabel } from "./goal-label";
import { staircaseShape, type Step } from "./staircase-shape";

const FRAME = { left: 40, right: 440, top: 20, bottom: 220, lane: undefined };
const climb = (tempi: readonly number[]): Step[] =>
  tempi.map((tempo) => ({ tempo, minutes: 1, status: "ahead" }));

/** The place of "this week to 70" over stairs of these tempi. */
function placed(tempi: readonly number[], goal = 70) {
  const steps = climb(tempi);
  const shape = staircaseShape(steps, FRAME, { lowest: 50, highest: 100 });
  return { ...goalLabel("this week to 70", 14, goal, steps, shape, FRAME), line: shape.y(goal) };
}

describe("the words of the goal", () => {
  test("stand over its line at the left while the stairs come up from below", () => {
    const { textAnchor, y, line } = placed([55, 60, 65, 70]);
    expect(textAnchor).toBe("start");
    expect(y).toBeLessThan(line);
  });

  test("go under it at the right where the stairs soon run through them", () => {
    const { textAnchor, y, line } = placed([65, 70, 75, 80, 85, 90, 95, 98]);
    expect(textAnchor).toBe("end");
    expect(y).toBeGreaterThan(line);
  });

  test("stand somewhere also where there is no room at all", () => {
    expect(placed(Array.from({ length: 60 }, (_, i) => 66 + (i % 10)))).toMatchObject({
      textAnchor: "start",
    });
  });
});
