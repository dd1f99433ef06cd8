import type * as v from "valibot";
import type { GateRule } from "./rule";
import { clockMinutes, clockPlays } from "./rules/by-clock";
import { easy } from "./rules/easy";
import { inARow } from "./rules/in-a-row";
import { inAll } from "./rules/in-all";
import { minutes } from "./rules/minutes";
import { ofLast } from "./rules/of-last";
import { played } from "./rules/played";
import { timing } from "./rules/timing";

/** Every kind of rule, in the order of the menu. */
export const GATE_RULES = {
  "in-a-row": inARow,
  "in-all": inAll,
  "of-last": ofLast,
  minutes,
  easy,
  timing,
  played,
  "clock-plays": clockPlays,
  "clock-minutes": clockMinutes,
} as const;

export type RuleKind = keyof typeof GATE_RULES;
export type Rule = {
  [K in RuleKind]: v.InferOutput<(typeof GATE_RULES)[K]["schema"]>;
}[RuleKind];
export const RULE_KINDS = Object.keys(GATE_RULES) as [RuleKind, ...RuleKind[]];

/** The kind of a rule. The table pairs each with its own; TypeScript can't follow a looked-up pair. */
export const ruleOf = ({ kind }: Pick<Rule, "kind">) =>
  GATE_RULES[kind] as unknown as GateRule<Rule>;

/** A rule as it is when its kind is chosen, with so many plays where it counts plays. */
export const firstRule = (kind: RuleKind, plays: number): Rule => ruleOf({ kind }).first(plays);
