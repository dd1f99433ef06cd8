import * as v from "valibot";
import { wholeBpm } from "~/core/units";
import { numberBetween, wholeBpmStep } from "../number-schema";
import { climb, eachTempo, type School } from "../school";

const numbers = v.object({
  /** bpm per rung below the knee; default 10, 1–50. */
  step: wholeBpmStep,
  /** bpm per rung from the knee on; default 4, 1–50. */
  stepAbove: wholeBpmStep,
  /** where the steps get smaller, in percent of the target; default 80, 10–100. */
  knee: numberBetween(10, 100, "%"),
});

/** Shrinking steps: +n below a knee, +m from it on (craft, 5.3). */
export const shrinkingSteps: School<v.InferOutput<typeof numbers>> = {
  numbers,
  fields: [
    { kind: "number", key: "step", unit: "bpm", initial: 10, min: 1, max: 50, stride: true },
    { kind: "number", key: "stepAbove", unit: "bpm", initial: 4, min: 1, max: 50, stride: true },
    { kind: "number", key: "knee", unit: "percent-of-target", initial: 80, min: 10, max: 100 },
  ],
  tempo: "rises",
  inPercent: true,
  steps: ({ step, stepAbove, knee }, path) =>
    eachTempo(
      climb(path, (from) => wholeBpm(from + (from * 100 >= knee * path.target ? stepAbove : step))),
    ),
};
