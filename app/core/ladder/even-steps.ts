import * as v from "valibot";
import { wholeBpm } from "~/core/units";
import { numberBetween } from "./number-schema";
import { climb, type School } from "./school";

const numbers = v.object({
  /** bpm per rung; default 5, 1–50. */
  step: v.pipe(numberBetween(1, 50, "bpm"), v.integer("Steps are whole bpm.")),
});

/** Even steps: start to target by +n bpm (craft, 5.1). */
export const evenSteps: School<v.InferOutput<typeof numbers>> = {
  numbers,
  fields: [{ key: "step", unit: "bpm", initial: 5, min: 1, max: 50 }],
  tempi: ({ step }, path) => climb(path, (from) => wholeBpm(from + step)),
};
