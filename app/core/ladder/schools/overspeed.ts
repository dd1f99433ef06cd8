import * as v from "valibot";
import { wholeBpm } from "~/core/units";
import { overspeedSchema, tempoBeyond } from "../beyond";
import { wholeBpmStep } from "../number-schema";
import { climb, type School } from "../school";

const numbers = v.object({
  /** bpm per rung up to the target; default 5, 1–50. */
  step: wholeBpmStep,
  ...overspeedSchema.entries,
});

/** Overspeed finish: even steps, then beyond the target, then confirm at it (craft, 5.6). */
export const overspeed: School<v.InferOutput<typeof numbers>> = {
  numbers,
  fields: [
    { kind: "number", key: "step", unit: "bpm", initial: 5, min: 1, max: 50, stride: true },
    { kind: "choice", key: "in", options: ["percent", "bpm"], initial: "percent" },
    { kind: "number", key: "beyond", unit: "chosen", initial: 5, min: 1, max: 50 },
  ],
  tempo: "rises",
  *steps({ step, ...over }, path) {
    for (const tempo of climb(path, (from) => wholeBpm(from + step))) yield { tempo };
    yield { tempo: tempoBeyond(over, path.target) };
    yield { tempo: path.target };
  },
};
