import type { Rule } from "~/core/gate";

/** The rules whose attempts can be tabulated. */
export type CountedRule = Extract<Rule, { kind: "in-a-row" | "in-all" }>;

const SETTLED = 1e-9;
const MOST_PLAYS = 2000;

/**
 * One attempt at a rung ends when its gate passes or after `most` flawed plays. Cumulated
 * probabilities of how it ends: entry 2(n − 1) passes after n plays, entry 2(n − 1) + 1 gives up
 * after n plays. Exact, by carrying the distribution over (count, flawed) forward.
 */
export function attemptTable(rule: CountedRule, clean: number, most: number): Float64Array {
  const back = rule.kind === "in-all" ? 0 : rule.afterFlawed === "reset" ? rule.plays : 1;
  const needed = rule.plays;
  let now = new Float64Array(needed * most);
  now[0] = 1;
  const table: number[] = [];
  let sum = 0;
  while (1 - sum > SETTLED && table.length < 2 * MOST_PLAYS) {
    const next = new Float64Array(needed * most);
    let passed = 0;
    let gaveUp = 0;
    for (let flawed = 0; flawed < most; flawed++) {
      for (let count = 0; count < needed; count++) {
        const mass = now[flawed * needed + count]!;
        if (mass === 0) continue;
        if (count + 1 >= needed) passed += mass * clean;
        else next[flawed * needed + count + 1]! += mass * clean;
        const after = Math.max(0, count - back);
        if (flawed + 1 >= most) gaveUp += mass * (1 - clean);
        else next[(flawed + 1) * needed + after]! += mass * (1 - clean);
      }
    }
    table.push((sum += passed), (sum += gaveUp));
    now = next;
  }
  return Float64Array.from(table);
}
