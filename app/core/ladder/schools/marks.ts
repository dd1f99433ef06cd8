import * as v from "valibot";
import { wholeBetween } from "../number-schema";
import { markScale } from "../scale";
import { climb, eachTempo, type School } from "../school";

const numbers = v.object({
  /** metronome marks per rung; default 2, 1–10. */
  marks: wholeBetween(1, 10, "marks"),
});

/** Marks: so many metronome marks at a time, start and target among them (craft, 5.4). */
export const marks: School<v.InferOutput<typeof numbers>> = {
  numbers,
  fields: [
    { kind: "number", key: "marks", unit: "marks", initial: 2, min: 1, max: 10, stride: true },
  ],
  tempo: "rises",
  steps: ({ marks: by }, path) => {
    const scale = markScale(path);
    return eachTempo(climb(path, (from) => scale.from(from, by)));
  },
};
