import * as v from "valibot";
import type { Gate } from "~/core/gate";
import { nearestPlayable } from "~/core/units";
import { wholeBetween, wholeBpmStep } from "../number-schema";
import type { School } from "../school";

const numbers = v.object({
  /** plays below and plays above; default 3, 1–20. */
  plays: wholeBetween(1, 20, "plays"),
  /** how far below and above, in bpm; default 4, 1–50. */
  by: wholeBpmStep,
});

/** Consolidate after a ceiling: a few a little below, a few a little above, then at the target. */
export const consolidate: School<v.InferOutput<typeof numbers>> = {
  numbers,
  fields: [
    { kind: "number", key: "plays", unit: "plays", initial: 3, min: 1, max: 20 },
    { kind: "number", key: "by", unit: "bpm", initial: 4, min: 1, max: 50 },
  ],
  tempo: "stays",
  *steps({ plays, by }, { target }) {
    const gate: Gate = [{ kind: "played", plays }];
    yield { tempo: nearestPlayable(target - by), gate };
    yield { tempo: nearestPlayable(target + by), gate };
    yield { tempo: target };
  },
};
