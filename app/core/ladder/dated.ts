import type * as v from "valibot";
import type { Ladder, Phase } from "./ladder";
import type { byDate } from "./schools/by-date";

/** The school of a ladder that is done on a date, with its numbers; undefined where none is. */
export function datedPhase({
  phases,
}: Pick<Ladder, "phases">):
  { readonly phase: Phase; readonly numbers: v.InferOutput<typeof byDate.numbers> } | undefined {
  for (const phase of phases) {
    const { school } = phase;
    if (school.name === "by-date") return { phase, numbers: school.numbers };
  }
  return undefined;
}
