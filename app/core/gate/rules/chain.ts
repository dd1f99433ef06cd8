import type { GateCost } from "../rule";

/** Beyond this many plays a gate is called out of reach rather than summed to the end. */
export const OUT_OF_REACH_PLAYS = 2000;
export const SETTLED = 1e-12;

/**
 * Moments of the time to absorption of a chain, by carrying its distribution forward.
 * `step(state, clean)` gives the next state, or undefined when the gate has opened.
 */
export function absorbed(
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
