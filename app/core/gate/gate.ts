import * as v from "valibot";
import { unreachable } from "~/core/result";

const MOST_PLAYS = 50;
const LONGEST_WINDOW = 10;

const plays = v.pipe(
  v.number("Say how many plays."),
  v.integer("Plays are counted whole."),
  v.minValue(1, "At least 1 play."),
  v.maxValue(MOST_PLAYS, `At most ${MOST_PLAYS} plays.`),
);

/** When may I go up? */
export const gateSchema = v.variant(
  "kind",
  [
    v.object({
      kind: v.literal("in-a-row"),
      plays,
      afterFlawed: v.picklist(["reset", "minus-one"], "Choose what a flawed play does."),
    }),
    v.object({ kind: v.literal("in-all"), plays }),
    v.pipe(
      v.object({
        kind: v.literal("of-last"),
        plays,
        window: v.pipe(
          v.number("Say how many plays to look back."),
          v.integer("Plays are counted whole."),
          v.minValue(1, "At least 1 play."),
          v.maxValue(LONGEST_WINDOW, `At most ${LONGEST_WINDOW} plays back.`),
        ),
      }),
      v.forward(
        v.check(
          ({ plays: clean, window }) => clean <= window,
          "There can't be more clean plays than plays looked at.",
        ),
        ["plays"],
      ),
    ),
  ],
  "Choose a gate.",
);

export type Gate = v.InferOutput<typeof gateSchema>;
export type GateKind = Gate["kind"];
export const GATE_KINDS = ["in-a-row", "in-all", "of-last"] as const satisfies readonly GateKind[];

export type Verdict = "clean" | "flawed";

export interface GateProgress {
  readonly count: number;
  readonly needed: number;
  readonly passed: boolean;
}

const isClean = (verdict: Verdict) => verdict === "clean";

function inARow(gate: Extract<Gate, { kind: "in-a-row" }>, verdicts: readonly Verdict[]): number {
  return verdicts.reduce((count, verdict) => {
    if (isClean(verdict)) return count + 1;
    return gate.afterFlawed === "reset" ? 0 : Math.max(0, count - 1);
  }, 0);
}

/** How far the verdicts of one rung, oldest first, have come towards its gate. */
export function gateProgress(gate: Gate, verdicts: readonly Verdict[]): GateProgress {
  const of = (count: number): GateProgress => ({
    count: Math.min(count, gate.plays),
    needed: gate.plays,
    passed: count >= gate.plays,
  });
  switch (gate.kind) {
    case "in-a-row":
      return of(inARow(gate, verdicts));
    case "in-all":
      return of(verdicts.filter(isClean).length);
    case "of-last":
      return of(verdicts.slice(-gate.window).filter(isClean).length);
    default:
      return unreachable(gate);
  }
}
