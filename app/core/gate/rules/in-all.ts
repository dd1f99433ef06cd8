import * as v from "valibot";
import { isClean, type GateCost, type GateRule } from "../rule";
import { plays } from "./numbers";
import { Tally } from "./tally";

const schema = v.object({ kind: v.literal("in-all"), plays });
type InAll = v.InferOutput<typeof schema>;

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
  counter: (rule) => new Tally(rule.plays, isClean),
  cost: (rule, p) => cleanInAll(rule.plays, p),
  rough: (rule, p) => cleanInAll(rule.plays, p).mean,
} satisfies GateRule<InAll>;
