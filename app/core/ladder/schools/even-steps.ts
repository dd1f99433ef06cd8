import * as v from "valibot";
import { wholeBpm } from "~/core/units";
import { wholeBpmStep } from "../number-schema";
import { climb, eachTempo, type School } from "../school";

const numbers = v.object({
  /** bpm per rung; default 5, 1–50. */
  step: wholeBpmStep,
});

/** Even steps: start to target by +n bpm (craft, 5.1). */
export const evenSteps: School<v.InferOutput<typeof numbers>> = {
  numbers,
  fields: [{ kind: "number", key: "step", unit: "bpm", initial: 5, min: 1, max: 50, stride: true }],
  tempo: "rises",
  inPercent: true,
  steps: ({ step }, path) => eachTempo(climb(path, (from) => wholeBpm(from + step))),
};
