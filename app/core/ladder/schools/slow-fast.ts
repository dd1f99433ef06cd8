import * as v from "valibot";
import type { Gate } from "~/core/gate";
import { wholeBetween } from "../number-schema";
import type { School } from "../school";

const numbers = v.object({
  /** how often slow follows fast; default 3, 1–20. */
  rounds: wholeBetween(1, 20, "rounds"),
  /** plays at the target each time, whatever comes of them; default 1, 1–10. */
  feel: wholeBetween(1, 10, "plays"),
});

/**
 * Slow and fast: at the target to feel it, then at the start to look at details, alternately
 * (craft, 5.9). Only the last play at the target has to pass the gate.
 */
export const slowFast: School<v.InferOutput<typeof numbers>> = {
  numbers,
  fields: [
    { kind: "number", key: "rounds", unit: "rounds", initial: 3, min: 1, max: 20 },
    { kind: "number", key: "feel", unit: "plays", initial: 1, min: 1, max: 10 },
  ],
  tempo: "stays",
  *steps({ rounds, feel }, { start, target }) {
    const gate: Gate = [{ kind: "played", plays: feel }];
    const fast = { kind: "pace", name: "fast", full: true } as const;
    const slow = { kind: "pace", name: "slow", full: true } as const;
    for (let round = 0; round < rounds; round++) {
      yield { tempo: target, gate, task: fast };
      yield { tempo: start, task: slow };
    }
    yield { tempo: target, task: fast };
  },
};
