import { partOfBlock } from "~/core/cost";
import { START_RULE_KINDS, wayIn, type Ladder, type Left, type StartRule } from "~/core/ladder";
import type { Played } from "~/core/session";
import type { Bpm } from "~/core/units";

/** What earlier days have left of the ladders of a passage. */
export interface LeftBehind extends Omit<Left, "fastest"> {
  /** The fastest tempo passed on each material. */
  readonly passed: Readonly<Record<string, number>>;
}

/** Each rule with the numbers that it begins with. */
export const START_RULES: Record<StartRule["kind"], StartRule> = {
  "as-set": { kind: "as-set" },
  "where-ended": { kind: "where-ended" },
  "where-ended-less": { kind: "where-ended-less", steps: 1 },
  comfortable: { kind: "comfortable" },
  advised: { kind: "advised" },
  "half-of-target": { kind: "half-of-target" },
  "percent-of-target": { kind: "percent-of-target", percent: 60 },
  measured: { kind: "measured" },
};

export type Starts = Readonly<Record<StartRule["kind"], Bpm>>;

/** Where each rule would start this ladder today; the one that is chosen by its own numbers. */
export function startsToday(ladder: Ladder, block: Played, left: LeftBehind): Starts {
  const part = partOfBlock(block, ladder.part);
  const fastest = (material: string) => left.passed[material];
  const starts = START_RULE_KINDS.map((kind) => {
    const startRule = kind === ladder.startRule.kind ? ladder.startRule : START_RULES[kind];
    const { start } = wayIn({ ...ladder, startRule }, part, part, { ...left, fastest });
    return [kind, start] as const;
  });
  return Object.fromEntries(starts) as Record<StartRule["kind"], Bpm>;
}
