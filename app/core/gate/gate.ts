import * as v from "valibot";
import { GATE_RULES } from "./registry";

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
  ],
  "Choose a gate.",
);

/** When may I go up? Rules that must all hold. A single rule stands for a list of one. */
export const gateSchema = v.pipe(
  v.unknown(),
  v.transform((gate) => (Array.isArray(gate) ? (gate as unknown[]) : [gate])),
  v.array(ruleSchema),
  v.minLength(1, "A gate has at least one rule."),
  v.maxLength(MOST_RULES, `A gate has at most ${MOST_RULES} rules.`),
  v.readonly(),
);
export type Gate = v.InferOutput<typeof gateSchema>;
