import * as v from "valibot";
import { TEMPO_LIMITS, type Bpm } from "~/core/units";
import { wholeBetween } from "../number-schema";
import { bpmScale, markScale } from "../scale";
import { eachTempo, type Path, type Refusal, type School } from "../school";

const numbers = v.pipe(
  v.object({
    by: v.picklist(["marks", "bpm"], "Choose marks or bpm."),
    /** bpm of one step, where steps are bpm; default 5, 1–50. */
    unit: wholeBetween(1, 50, "bpm"),
    /** steps forward; default 3, 2–10. */
    up: wholeBetween(1, 10, "steps"),
    /** steps back; default 1, 1–9. */
    down: wholeBetween(1, 10, "steps"),
  }),
  v.forward(
    v.check(
      ({ up, down }) => up > down,
      ({ input: { up, down } }) =>
        `${up} forward and ${down} back never arrives: go further forward than back.`,
    ),
    ["up"],
  ),
);

/**
 * Up u, down d, up u … When a move would reach or pass the target: touch it, go back, go beyond
 * it, and settle down onto it.
 */
function* tempi({ by, unit, up, down }: v.InferOutput<typeof numbers>, path: Path): Generator<Bpm> {
  const { start, target } = path;
  if (start === target) return yield target;
  const scale = by === "marks" ? markScale(path) : bpmScale(unit);
  // Never below the start.
  const backFrom = (from: Bpm): Bpm => {
    const lower = scale.from(from, -down);
    return lower < start ? start : lower;
  };
  let at = start;
  yield at;
  for (let next = scale.from(at, up); next < target; next = scale.from(at, up)) {
    yield next;
    at = backFrom(next);
    yield at;
  }
  yield target;
  const back = backFrom(target);
  yield back;
  yield scale.from(back, up);
  yield target;
}

/** Why there is no room to go beyond the target, if there is none. */
function noRoom(
  { by, unit, up, down }: v.InferOutput<typeof numbers>,
  { start, target }: Path,
): Refusal | undefined {
  if (start === target) return undefined;
  const beyond = by === "marks" ? target + 8 * (up - down) : target + unit * (up - down);
  if (beyond <= TEMPO_LIMITS.highest) return undefined;
  const sentence = `At ${target} bpm there is no room to overshoot: ${TEMPO_LIMITS.highest} is the fastest.`;
  return { field: "target", sentence };
}

/** Forward and back (craft, 5.5): the step down is where control is won. */
export const forwardBack: School<v.InferOutput<typeof numbers>> = {
  numbers,
  fields: [
    { kind: "choice", key: "by", options: ["marks", "bpm"], initial: "marks" },
    { kind: "number", key: "up", unit: "steps", initial: 3, min: 1, max: 10 },
    { kind: "number", key: "down", unit: "steps", initial: 1, min: 1, max: 10 },
    { kind: "number", key: "unit", unit: "bpm", initial: 5, min: 1, max: 50 },
  ],
  tempo: "rises",
  inPercent: true,
  impossible: noRoom,
  steps: (chosen, path) => eachTempo(tempi(chosen, path)),
};
