import * as v from "valibot";
import type { GateRule } from "../rule";
import { plays } from "./numbers";
import { Tally } from "./tally";

const schema = v.object({ kind: v.literal("played"), plays });
type Played = v.InferOutput<typeof schema>;

/** Plays, clean or not: to feel something rather than to get it right. */
export const played = {
  schema,
  first: (count) => ({ kind: "played", plays: count }),
  needed: (rule) => rule.plays,
  counter: (rule) => new Tally(rule.plays, () => true),
  cost: (rule) => ({ mean: rule.plays, variance: 0 }),
  rough: (rule) => rule.plays,
} satisfies GateRule<Played>;
