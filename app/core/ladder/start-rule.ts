import * as v from "valibot";
import { unreachable } from "~/core/result";
import { nearestPlayable, wholeBpm, type Bpm } from "~/core/units";
import { numberBetween } from "./number-schema";

const MOST_STEPS_BACK = 20;

/** Where today starts (craft, 4). */
export const startRuleSchema = v.variant(
  "kind",
  [
    v.object({ kind: v.literal("half-of-target") }),
    v.object({ kind: v.literal("percent-of-target"), percent: numberBetween(10, 100, "%") }),
    v.object({ kind: v.literal("comfortable") }),
    v.object({ kind: v.literal("where-ended") }),
    /** Tapped at the stand before it begins: what could be kept up without tension. */
    v.object({ kind: v.literal("measured") }),
    v.object({
      kind: v.literal("where-ended-less"),
      steps: v.pipe(
        v.number("Say how many steps."),
        v.integer("Steps are counted whole."),
        v.minValue(1, "At least 1 step."),
        v.maxValue(MOST_STEPS_BACK, `At most ${MOST_STEPS_BACK} steps.`),
      ),
    }),
  ],
  "Choose where today starts.",
);

export type StartRule = v.InferOutput<typeof startRuleSchema>;
export const START_RULE_KINDS = [
  "where-ended",
  "where-ended-less",
  "comfortable",
  "half-of-target",
  "percent-of-target",
  "measured",
] as const satisfies readonly StartRule["kind"][];

export interface StartEvidence {
  /** The start that was set with the ladder; used while the record has nothing better. */
  readonly first: Bpm;
  readonly target: Bpm;
  /** Tempo of the last rung worked on in the latest session, if there was one. */
  readonly ended?: Bpm | undefined;
  /** Estimated comfortable tempo, if anything was played. */
  readonly comfortable?: number | undefined;
  /** The tempi of the staircase from the first start, in any order. */
  readonly tempi: readonly Bpm[];
}

function stepsBelow(tempi: readonly Bpm[], from: Bpm, steps: number): Bpm | undefined {
  const rising = [...new Set(tempi)].sort((a, b) => a - b);
  const index = rising.findLastIndex((tempo) => tempo <= from);
  return index === -1 ? undefined : rising[Math.max(0, index - steps)];
}

/** Today's start in whole bpm: never above the target, never outside 10–400. */
export function todaysStart(rule: StartRule, evidence: StartEvidence): Bpm {
  const { first, target, ended, comfortable, tempi } = evidence;
  const chosen = (): number => {
    switch (rule.kind) {
      case "half-of-target":
        return target / 2;
      case "percent-of-target":
        return (target * rule.percent) / 100;
      case "comfortable":
        return comfortable === undefined ? first : Math.floor(comfortable);
      // Until it is measured, the stand shows where it ended.
      case "measured":
      case "where-ended":
        return ended ?? first;
      case "where-ended-less":
        return ended === undefined ? first : (stepsBelow(tempi, ended, rule.steps) ?? first);
      default:
        return unreachable(rule);
    }
  };
  return nearestPlayable(Math.min(target, wholeBpm(chosen())));
}
