import * as v from "valibot";
import { nearestPlayable, wholeBpm, type Bpm } from "~/core/units";
import { numberBetween, wholeBetween, wholeBpmStep } from "../number-schema";
import { climb, type Path, type School } from "../school";

const numbers = v.pipe(
  v.object({
    /** bpm by which the base rises; default 5, 1–50. */
    step: wholeBpmStep,
    /** the fast tempo as a multiple of the base; default 2, above 1, at most 4. */
    ratio: v.pipe(
      numberBetween(0, 4, "times"),
      v.check(
        (ratio) => ratio > 1,
        ({ input }) => `At ${String(input)} times the base the fast play isn't faster: above 1.`,
      ),
    ),
    /** slow plays in a cycle; default 2, 1–8. */
    slow: wholeBetween(1, 8, "plays"),
    /** fast plays in a cycle; default 1, 1–8. */
    fast: wholeBetween(1, 8, "plays"),
    /** endurance: fast plays grow to this many before the base rises; default 1, 1–8. */
    mostFast: wholeBetween(1, 8, "plays"),
  }),
  v.forward(
    v.check(
      ({ fast, mostFast }) => mostFast >= fast,
      ({ input }) => `Grows from ${input.fast} fast: it can't end at ${input.mostFast}.`,
    ),
    ["mostFast"],
  ),
);

/** Base tempi up to target ÷ ratio, at which the fast plays are exactly at the target. */
function bases({ step, ratio }: v.InferOutput<typeof numbers>, { start, target }: Path) {
  const highest = nearestPlayable(target / ratio);
  const from = Math.min(start, highest) as Bpm;
  return {
    highest,
    tempi: climb({ start: from, target: highest }, (at) => wholeBpm(at + step)),
  };
}

/**
 * Burst cycles: slow plays at a base tempo, then fast ones at a multiple of it, cycling; then the
 * base rises (craft, 5.8). The gate counts cycles.
 */
export const burst: School<v.InferOutput<typeof numbers>> = {
  numbers,
  fields: [
    { kind: "number", key: "step", unit: "bpm", initial: 5, min: 1, max: 50, stride: true },
    { kind: "number", key: "ratio", unit: "times", initial: 2, min: 1.1, max: 4, by: 0.1 },
    { kind: "number", key: "slow", unit: "plays", initial: 2, min: 1, max: 8 },
    { kind: "number", key: "fast", unit: "plays", initial: 1, min: 1, max: 8 },
    { kind: "number", key: "mostFast", unit: "plays", initial: 1, min: 1, max: 8 },
  ],
  tempo: "rises",
  cycles: true,
  *steps(chosen, path) {
    const { ratio, slow, fast, mostFast } = chosen;
    const { highest, tempi } = bases(chosen, path);
    for (const tempo of tempi) {
      const fastTempo = tempo === highest ? path.target : wholeBpm(tempo * ratio);
      for (let now = fast; now <= mostFast; now++) {
        yield { tempo, cycle: { slow, fast: now, fastTempo } };
      }
    }
  },
};
