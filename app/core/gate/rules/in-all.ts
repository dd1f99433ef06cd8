import * as v from "valibot";
import { ALMOST, isClean, type Counter, type GateCost, type GateRule } from "../rule";
import { plays } from "./numbers";

const schema = v.object({ kind: v.literal("in-all"), plays });
type InAll = v.InferOutput<typeof schema>;

class All implements Counter {
  count = 0;
  constructor(private readonly rule: InAll) {}

  get holds() {
    return this.count >= this.rule.plays - ALMOST;
  }

  play(play: Parameters<Counter["play"]>[0]) {
    if (isClean(play)) this.count++;
    return this.holds;
  }

  reset() {
    this.count = 0;
  }
}

/** r clean in all: the negative binomial, E = r / p, Var = r (1 − p) / p². */
export const cleanInAll = (r: number, p: number): GateCost => ({
  mean: r / p,
  variance: (r * (1 - p)) / (p * p),
});

/** So many clean plays in all. */
export const inAll = {
  schema,
  first: (count) => ({ kind: "in-all", plays: count }),
  needed: (rule) => rule.plays,
  counter: (rule) => new All(rule),
  cost: (rule, p) => cleanInAll(rule.plays, p),
  rough: (rule, p) => cleanInAll(rule.plays, p).mean,
} satisfies GateRule<InAll>;
