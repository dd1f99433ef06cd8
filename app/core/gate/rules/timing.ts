import * as v from "valibot";
import type { Counter, GateRule, JudgedPlay } from "../rule";
import { numberFrom } from "./numbers";

/** The latest measured play is this even, in milliseconds of spread. */
const schema = v.object({ kind: v.literal("timing"), within: numberFrom(5, 200, "milliseconds") });
type Timing = v.InferOutput<typeof schema>;

class Evenness implements Counter {
  count = 0;
  constructor(private readonly rule: Timing) {}

  get holds() {
    return this.count > 0;
  }

  play({ spread }: JudgedPlay) {
    if (spread !== undefined) this.count = spread <= this.rule.within ? 1 : 0;
    return this.holds;
  }

  reset() {
    this.count = 0;
  }
}

/** Even enough, as it was measured last; reckoned, that comes with the first clean play. */
export const timing = {
  schema,
  first: () => ({ kind: "timing", within: 25 }),
  needed: () => 1,
  counter: (rule) => new Evenness(rule),
  rough: (_rule, p) => 1 / p,
} satisfies GateRule<Timing>;
