import { unreachable } from "~/core/result";
import type { Gate, Rule } from "./gate";

/** Plays that a gate takes. */
export interface GateCost {
  readonly mean: number;
  readonly variance: number;
}

/** Beyond this many plays a gate is called out of reach rather than summed to the end. */
export const OUT_OF_REACH_PLAYS = 2000;
/** No figure is larger; beyond it nothing can be told apart. */
const MOST_PLAYS = 1e6;
const SETTLED = 1e-12;
const RAREST_CLEAN = 1e-3;

/**
 * r in a row, a flawed play resets: E = (1 − pʳ) / ((1 − p) pʳ),
 * Var = (1 − (2r+1)(1−p)pʳ − p²ʳ⁺¹) / ((1−p)² p²ʳ) (craft, 6).
 */
function inARow(r: number, p: number): GateCost {
  if (p === 1) return { mean: r, variance: 0 };
  const q = 1 - p;
  const pr = p ** r;
  return {
    mean: (1 - pr) / (q * pr),
    variance: Math.max(0, (1 - (2 * r + 1) * q * pr - p ** (2 * r + 1)) / (q * q * pr * pr)),
  };
}

/** r clean in all: the negative binomial, E = r / p, Var = r (1 − p) / p². */
const inAll = (r: number, p: number): GateCost => ({
  mean: r / p,
  variance: (r * (1 - p)) / (p * p),
});

/**
 * A quick mean for drawing before the exact figure is there: the closed form where there is one,
 * else that of the nearest rule that has one. Never used for a figure that is told.
 */
export function roughPlays(gate: Gate, p: number, seconds: number): number {
  const clean = Math.min(1, Math.max(RAREST_CLEAN, p));
  return gate.reduce((most, rule) => Math.max(most, roughRule(rule, clean, seconds)), 1);
}

function roughRule(rule: Rule, clean: number, seconds: number): number {
  switch (rule.kind) {
    case "in-a-row":
      return Math.min(MOST_PLAYS, inARow(rule.plays, clean).mean);
    case "in-all":
    case "of-last":
      return inAll(rule.plays, clean).mean;
    case "minutes":
      return Math.ceil((rule.minutes * 60) / seconds);
    case "played":
      return rule.plays;
    case "easy":
    case "timing":
      return 1 / clean;
  }
}

/**
 * Moments of the time to absorption of a chain, by carrying its distribution forward.
 * `step(state, clean)` gives the next state, or undefined when the gate has opened.
 */
function absorbed(
  states: number,
  p: number,
  step: (state: number, clean: boolean) => number | undefined,
): GateCost {
  let now = new Float64Array(states);
  now[0] = 1;
  let alive = 1;
  let mean = 0;
  let square = 0;
  let n = 1;
  for (; n <= OUT_OF_REACH_PLAYS && alive > SETTLED; n++) {
    const next = new Float64Array(states);
    let passed = 0;
    for (let state = 0; state < states; state++) {
      const mass = now[state]!;
      if (mass === 0) continue;
      for (const clean of [true, false]) {
        const share = mass * (clean ? p : 1 - p);
        const to = step(state, clean);
        if (to === undefined) passed += share;
        else next[to]! += share;
      }
    }
    mean += n * passed;
    square += n * n * passed;
    alive -= passed;
    now = next;
  }
  const rest = Math.max(0, alive);
  mean += rest * n;
  square += rest * n ** 2;
  return { mean, variance: Math.max(0, square - mean * mean) };
}

const minusOne = (r: number, p: number) =>
  absorbed(r, p, (count, clean) => {
    const next = clean ? count + 1 : Math.max(0, count - 1);
    return next >= r ? undefined : next;
  });

/**
 * Mean and variance of the plays that a gate costs at clean probability `p` per play (0–1; held
 * to at least one in a thousand), where there is a formula or an exact chain (cut at
 * {@link OUT_OF_REACH_PLAYS}). Undefined where there is none: rules that must all hold, clean
 * plays of the last few, minutes with a share of clean plays, and what only the player or the ear
 * knows.
 */
export function gateCost(gate: Gate, p: number, seconds: number): GateCost | undefined {
  if (gate.length !== 1) return undefined;
  const cost = ruleCost(gate[0]!, Math.min(1, Math.max(RAREST_CLEAN, p)), seconds);
  if (!cost) return undefined;
  const { mean, variance } = cost;
  return { mean: Math.min(MOST_PLAYS, mean), variance: Math.min(MOST_PLAYS ** 2, variance) };
}

function ruleCost(rule: Rule, clean: number, seconds: number): GateCost | undefined {
  switch (rule.kind) {
    case "in-a-row":
      return rule.afterFlawed === "reset" ? inARow(rule.plays, clean) : minusOne(rule.plays, clean);
    case "in-all":
      return inAll(rule.plays, clean);
    case "played":
      return { mean: rule.plays, variance: 0 };
    case "minutes": {
      const plays = Math.ceil((rule.minutes * 60) / seconds - SETTLED);
      return rule.percent === 0 ? { mean: plays, variance: 0 } : undefined;
    }
    // The last m verdicts are too many states to be quick: it is simulated.
    case "of-last":
    case "easy":
    case "timing":
      return undefined;
    default:
      return unreachable(rule);
  }
}
