import * as v from "valibot";
import { wholeBpm } from "~/core/units";
import { numberBetween, wholeBpmStep } from "../number-schema";
import { climb, eachTempo, type School } from "../school";

const numbers = v.object({
  /** percent of the present tempo per rung, up to the knee; default 10, 1–50. */
  percent: numberBetween(1, 50, "%"),
  /** the same above the knee; default 5, 1–50. */
  percentAbove: numberBetween(1, 50, "%"),
  /** where the steps get smaller, in percent of the target; default 75, 10–100. */
  knee: numberBetween(10, 100, "%"),
  /** no step is smaller than this many bpm; default 2, 1–50. */
  least: wholeBpmStep,
});

/** Percent steps: ×(1+p), rounded to whole bpm, p shrinking above a knee (craft, 5.2). */
export const percentSteps: School<v.InferOutput<typeof numbers>> = {
  numbers,
  fields: [
    { kind: "number", key: "percent", unit: "percent", initial: 10, min: 1, max: 50, stride: true },
    {
      kind: "number",
      key: "percentAbove",
      unit: "percent",
      initial: 5,
      min: 1,
      max: 50,
      stride: true,
    },
    { kind: "number", key: "knee", unit: "percent-of-target", initial: 75, min: 10, max: 100 },
    { kind: "number", key: "least", unit: "bpm", initial: 2, min: 1, max: 20 },
  ],
  tempo: "rises",
  inPercent: true,
  steps: ({ percent, percentAbove, knee, least }, path) =>
    eachTempo(
      climb(path, (from) => {
        // From the knee on, as shrinking steps do.
        const share = from * 100 >= knee * path.target ? percentAbove : percent;
        // Multiplied before dividing: 50 × 110 / 100 is exactly 55, 50 × 1.1 is not.
        return wholeBpm(Math.max(from + least, (from * (100 + share)) / 100));
      }),
    ),
};
