import * as v from "valibot";
import { GATE_RULES, type Rule } from "./registry";

const MOST_RULES = 4;

const ruleSchema = v.variant(
  "kind",
  [
    GATE_RULES["in-a-row"].schema,
    GATE_RULES["in-all"].schema,
    GATE_RULES["of-last"].schema,
    GATE_RULES.minutes.schema,
    GATE_RULES.played.schema,
    GATE_RULES.easy.schema,
    GATE_RULES.timing.schema,
    GATE_RULES["clock-plays"].schema,
    GATE_RULES["clock-minutes"].schema,
  ],
  "Choose a gate.",
);

type Clock = Extract<Rule, { readonly kind: "clock-plays" | "clock-minutes" }>;
const isClock = (rule: Rule): rule is Clock =>
  rule.kind === "clock-plays" || rule.kind === "clock-minutes";

/** When may I go up? Rules that must all hold. A single rule stands for a list of one. */
export const gateSchema = v.pipe(
  v.unknown(),
  v.transform((gate) => (Array.isArray(gate) ? (gate as unknown[]) : [gate])),
  v.array(ruleSchema),
  v.minLength(1, "A gate has at least one rule."),
  v.maxLength(MOST_RULES, `A gate has at most ${MOST_RULES} rules.`),
  v.check(
    (gate) => gate.length === 1 || !gate.some(isClock),
    "By the clock there is no other rule.",
  ),
  v.readonly(),
);
export type Gate = v.InferOutput<typeof gateSchema>;

/** Whether it opens by itself after so much playing: nobody is asked for a verdict. */
export const isByClock = (gate: Gate): boolean => gate.some(isClock);

/** Whether the ladder is gone down again after its top, by the clock. */
export const goesBack = (gate: Gate): boolean => gate.some((rule) => isClock(rule) && rule.back);
