import type { Rule } from "~/core/gate";

/** Beyond so many plays on one rung nothing is told apart. */
export const MOST_PLAYS_ON_A_RUNG = 2000;
const SETTLED = 1e-7;

/**
 * P(N ≤ n) of the plays N that r clean in a row take, by the recurrence
 * P(N > n) = P(N > n−1) − (1−p) pʳ P(N > n−1−r), with P(N > n) = 1 for n < r and 1 − pʳ at r.
 */
function inARow(r: number, p: number): number[] {
  const pr = p ** r;
  const above = [1];
  for (let n = 1; n <= MOST_PLAYS_ON_A_RUNG && above.at(-1)! > SETTLED; n++) {
    if (n < r) above.push(1);
    else if (n === r) above.push(1 - pr);
    else above.push(above[n - 1]! - (1 - p) * pr * above[n - 1 - r]!);
  }
  return above.map((each) => 1 - each);
}

/** P(N ≤ n) of the plays that r clean in all take: the negative binomial, term by term. */
function inAll(r: number, p: number): number[] {
  const below = Array.from({ length: r }, () => 0);
  let term = p ** r;
  let sum = term;
  below.push(sum);
  for (let n = r + 1; n <= MOST_PLAYS_ON_A_RUNG && 1 - sum > SETTLED; n++) {
    term *= ((n - 1) / (n - r)) * (1 - p);
    sum += term;
    below.push(Math.min(1, sum));
  }
  return below;
}

/** The distribution of the plays that one rule takes, where it is quickly had. */
export function playsTable(rule: Rule, p: number): Float64Array | undefined {
  if (rule.kind === "in-a-row" && rule.afterFlawed === "reset") {
    return Float64Array.from(inARow(rule.plays, p));
  }
  return rule.kind === "in-all" ? Float64Array.from(inAll(rule.plays, p)) : undefined;
}

/** The number of plays at a quantile of the distribution, by halving. */
export function playsAt(table: Float64Array, quantile: number): number {
  let low = 0;
  let high = table.length - 1;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (table[middle]! < quantile) low = middle + 1;
    else high = middle;
  }
  return low;
}
