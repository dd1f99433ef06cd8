import * as v from "valibot";
import { ALMOST, type Counter, type GateRule } from "../rule";
import { plays } from "./numbers";

const schema = v.object({ kind: v.literal("played"), plays });
type Played = v.InferOutput<typeof schema>;

class Any implements Counter {
  count = 0;
  constructor(private readonly rule: Played) {}

  get holds() {
    return this.count >= this.rule.plays - ALMOST;
  }

  play() {
    this.count++;
    return this.holds;
  }

  reset() {
    this.count = 0;
  }
}

/** Plays, clean or not: to feel something rather than to get it right. */
export const played = {
  schema,
  first: (count) => ({ kind: "played", plays: count }),
  needed: (rule) => rule.plays,
  counter: (rule) => new Any(rule),
  cost: (rule) => ({ mean: rule.plays, variance: 0 }),
  rough: (rule) => rule.plays,
} satisfies GateRule<Played>;
