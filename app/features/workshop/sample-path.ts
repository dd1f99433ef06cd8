import * as v from "valibot";
import {
  ladderSchema,
  MOST_RUNGS,
  natureOf,
  spanOf,
  staircase,
  type Rung,
  type SchoolName,
} from "~/core/ladder";
import { newPhase } from "./draft";
import { firstDraft } from "./first-offer";

/** A burst goes to half of its target: it is drawn from lower down, so that its base can rise. */
const SAMPLE_START: Partial<Record<SchoolName, number>> = { burst: 30 };

/** A school's own path over a few bars, small: for choosing among them. */
export function samplePath(name: SchoolName): Rung[] {
  const ladder = v.parse(ladderSchema, {
    ...firstDraft(100, SAMPLE_START[name] ?? 60),
    phases: [newPhase(name)],
  });
  const bars = [1, 2, 3, 4].map((number) => ({ number, metre: { beats: 4, unit: 4 } as const }));
  const { start } = spanOf(ladder, ladder.phases[0]!);
  const from = natureOf(name).tempo === "centres" ? 80 : start;
  return staircase(ladder, { start: from as typeof start, bars }).slice(0, MOST_RUNGS);
}
