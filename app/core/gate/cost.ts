import type { Gate } from "./gate";
import { ruleOf } from "./registry";
import type { GateCost } from "./rule";

/** No figure is larger; beyond it nothing can be told apart. */
const MOST_PLAYS = 1e6;
const RAREST_CLEAN = 1e-3;

const held = (p: number): number => Math.min(1, Math.max(RAREST_CLEAN, p));

/**
 * A quick mean for drawing before the exact figure is there: the closed form where there is one,
 * else that of the nearest rule that has one. Never used for a figure that is told.
 */
export const roughPlays = (gate: Gate, p: number, seconds: number): number =>
  gate.reduce((most, rule) => {
    const rough = ruleOf(rule).rough(rule, held(p), seconds);
    return Math.max(most, Math.min(MOST_PLAYS, rough));
  }, 1);

/**
 * Mean and variance of the plays that a gate costs at clean probability `p` per play (0–1; held
 * to at least one in a thousand), where there is a formula or an exact chain. Undefined where
 * there is none: rules that must all hold, clean plays of the last few, minutes with a share of
 * clean plays, and what only the player or the ear knows.
 */
export function gateCost(gate: Gate, p: number, seconds: number): GateCost | undefined {
  const [rule, ...others] = gate;
  if (!rule || others.length > 0) return undefined;
  const cost = ruleOf(rule).cost?.(rule, held(p), seconds);
  if (!cost) return undefined;
  const { mean, variance } = cost;
  return { mean: Math.min(MOST_PLAYS, mean), variance: Math.min(MOST_PLAYS ** 2, variance) };
}
