import * as v from "valibot";
import type { Gate } from "~/core/gate";
import { markFrom, nearestPlayable, wholeBpm, type Bpm } from "~/core/units";
import { wholeBetween } from "../number-schema";
import type { Path, School } from "../school";

const numbers = v.object({
  /** what the two distances are counted in; default marks. */
  in: v.picklist(["marks", "bpm"], "Choose marks or bpm."),
  /** how far below the tempo to be made firm; default 1, 1–50. */
  below: wholeBetween(1, 50, "marks or bpm"),
  /** plays there; default 12, 1–20. */
  plays: wholeBetween(1, 20, "plays"),
  /** how far above it; default 1, 1–50. */
  above: wholeBetween(1, 50, "marks or bpm"),
  /** plays there, which may be flawed; default 2, 0–20: a teacher may set more than two. */
  over: wholeBetween(0, 20, "plays"),
});
type Numbers = v.InferOutput<typeof numbers>;

const USUAL: Numbers = { in: "marks", below: 2, plays: 12, above: 1, over: 0 };

/** What is to be made firm: the lower of today's ceiling and the target. */
const firmOf = ({ target, ceiling }: Pick<Path, "target" | "ceiling">): Bpm =>
  ceiling === undefined ? target : nearestPlayable(Math.min(target, wholeBpm(ceiling)));

const away = ({ in: unit }: Pick<Numbers, "in">, from: Bpm, places: number): Bpm =>
  unit === "marks" ? markFrom(from, places) : nearestPlayable(from + places);

/**
 * Consolidate after a ceiling: many plays a little below the tempo to be made firm, a few a little
 * above it, then at it (craft, 5.16).
 */
export const consolidate: School<Numbers> = {
  numbers,
  fields: [
    { kind: "choice", key: "in", options: ["marks", "bpm"], initial: "marks" },
    { kind: "number", key: "below", unit: "chosen", initial: 1, min: 1, max: 20 },
    { kind: "number", key: "plays", unit: "plays", initial: 12, min: 1, max: 20 },
    { kind: "number", key: "above", unit: "chosen", initial: 1, min: 1, max: 20 },
    { kind: "number", key: "over", unit: "plays", initial: 2, min: 0, max: 20 },
  ],
  tempo: "stays",
  firms: true,
  *steps(chosen, path) {
    const { below, plays, above, over } = chosen;
    const firm = firmOf(path);
    const times = (count: number): Gate => [{ kind: "played", plays: count }];
    yield { tempo: away(chosen, firm, -below), gate: times(plays) };
    if (over > 0) yield { tempo: away(chosen, firm, above), gate: times(over), beyond: true };
    yield { tempo: firm };
  },
};

/** The same around a tempo at which it broke today, with the school's own numbers: none above. */
export const firmingSteps = (broke: Bpm): { readonly tempo: Bpm; readonly gate?: Gate }[] => [
  ...consolidate.steps(USUAL, { start: broke, target: broke, bars: [], stage: 0 }),
];
