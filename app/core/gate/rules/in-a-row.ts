import * as v from "valibot";
import { isClean, type Counter, type GateCost, type GateRule } from "../rule";
import { absorbed } from "./chain";
import { plays } from "./numbers";

const schema = v.object({
  kind: v.literal("in-a-row"),
  plays,
  afterFlawed: v.picklist(["reset", "minus-one"], "Choose what a flawed play does."),
});
type InARow = v.InferOutput<typeof schema>;

class Row implements Counter {
  count = 0;
  constructor(private readonly rule: InARow) {}

  get holds() {
    return this.count >= this.rule.plays;
  }

  play(play: Parameters<Counter["play"]>[0]) {
    if (isClean(play)) this.count++;
    else this.count = this.rule.afterFlawed === "reset" ? 0 : Math.max(0, this.count - 1);
    return this.holds;
  }

  reset() {
    this.count = 0;
  }
}

/**
 * r in a row, a flawed play resets: E = (1 − pʳ) / ((1 − p) pʳ),
 * Var = (1 − (2r+1)(1−p)pʳ − p²ʳ⁺¹) / ((1−p)² p²ʳ) (craft, 6).
 */
function afterReset(r: number, p: number): GateCost {
  if (p === 1) return { mean: r, variance: 0 };
  const q = 1 - p;
  const pr = p ** r;
  return {
    mean: (1 - pr) / (q * pr),
    variance: Math.max(0, (1 - (2 * r + 1) * q * pr - p ** (2 * r + 1)) / (q * q * pr * pr)),
  };
}

const minusOne = (r: number, p: number) =>
  absorbed(r, p, (count, clean) => {
    const next = clean ? count + 1 : Math.max(0, count - 1);
    return next >= r ? undefined : next;
  });

/** So many clean plays in a row; a flawed one returns the count to zero, or takes one off. */
export const inARow = {
  schema,
  first: (count) => ({ kind: "in-a-row", plays: count, afterFlawed: "reset" }),
  needed: (rule) => rule.plays,
  counter: (rule) => new Row(rule),
  cost: (rule, p) =>
    rule.afterFlawed === "reset" ? afterReset(rule.plays, p) : minusOne(rule.plays, p),
  rough: (rule, p) => afterReset(rule.plays, p).mean,
} satisfies GateRule<InARow>;
