import * as v from "valibot";
import { unreachable } from "~/core/result";
import { nearestPlayable, TEMPO_LIMITS, wholeBpm, type Bpm } from "~/core/units";
import { percentOf, tempoAt } from "./percent";
import { numberBetween } from "./number-schema";

const MOST_STEPS_BACK = 20;

/** Where today starts (craft, 4). */
export const startRuleSchema = v.variant(
  "kind",
  [
    /** The start that is set with the ladder, every day. */
    v.object({ kind: v.literal("as-set") }),
    v.object({ kind: v.literal("half-of-target") }),
    v.object({ kind: v.literal("percent-of-target"), percent: numberBetween(10, 100, "%") }),
    v.object({ kind: v.literal("comfortable") }),
    /** The highest tempo that is likely to go clean by the low end of what is believed. */
    v.object({ kind: v.literal("advised") }),
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
  "as-set",
  "where-ended",
  "where-ended-less",
  "comfortable",
  "advised",
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
  /** The highest tempo that surely goes clean, if anything was played. */
  readonly advised?: number | undefined;
  /** The fastest tempo passed on the same material: never is a start that is reckoned above it. */
  readonly passed?: number | undefined;
  /** A plan by the date keeps its start, whatever was passed. */
  readonly planned?: boolean;
  /** The full tempo in percent of which the ladder climbs; null where tempi are whole bpm. */
  readonly of?: number | null;
  /** The tempi of the staircase from the first start, in any order. */
  readonly tempi: readonly Bpm[];
}

/**
 * The nearest of the ladder's own steps at or below a tempo, so that the same tempi come again from
 * day to day; below the first they go on down as they went up.
 */
function snapped(tempi: readonly Bpm[], first: Bpm, tempo: number): number {
  const rising = [...new Set([...tempi, first])].sort((a, b) => a - b);
  const below = rising.findLast((step) => step <= tempo);
  if (below !== undefined) return below;
  const [lowest, next] = rising as [Bpm, ...Bpm[]];
  const step = next === undefined ? lowest - tempo : next - lowest;
  const down = lowest - Math.ceil((lowest - tempo) / step) * step;
  return down < TEMPO_LIMITS.lowest ? tempo : down;
}

function stepsBelow(tempi: readonly Bpm[], from: number, steps: number): number | undefined {
  const rising = [...new Set(tempi)].sort((a, b) => a - b);
  const index = rising.findLastIndex((tempo) => tempo <= from);
  return index === -1 ? undefined : rising[Math.max(0, index - steps)];
}

/** Today's start in whole bpm, or whole percent of a full tempo: never above the target, never outside 10–400. */
export function todaysStart(rule: StartRule, evidence: StartEvidence): Bpm {
  const {
    first,
    target,
    ended,
    comfortable,
    advised,
    passed,
    planned = false,
    tempi,
    of,
  } = evidence;
  const whole = (tempo: number): Bpm =>
    of
      ? tempoAt(of, percentOf(of, Math.min(target, tempo)))
      : nearestPlayable(Math.min(target, wholeBpm(tempo)));
  const cap = planned ? target : (passed ?? first);
  const reckoned = (tempo: number): Bpm =>
    whole(planned ? tempo : snapped(tempi, first, Math.min(tempo, cap)));
  // A share of the target is held back only once something was played.
  const share = (tempo: number): Bpm =>
    ended === undefined ? whole(snapped(tempi, first, tempo)) : reckoned(tempo);
  switch (rule.kind) {
    case "as-set":
      return whole(first);
    case "half-of-target":
      return share(target / 2);
    case "percent-of-target":
      return share((target * rule.percent) / 100);
    case "comfortable":
      return comfortable === undefined ? whole(first) : reckoned(comfortable);
    case "advised":
      return advised === undefined ? whole(first) : reckoned(advised);
    // Until it is measured, the stand shows where it ended.
    case "measured":
    case "where-ended":
      return ended === undefined ? whole(first) : reckoned(ended);
    case "where-ended-less": {
      if (ended === undefined) return whole(first);
      return reckoned(stepsBelow(tempi, Math.min(ended, cap), rule.steps) ?? first);
    }
    default:
      return unreachable(rule);
  }
}
