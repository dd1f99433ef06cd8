import * as v from "valibot";
import type { Counter, GateRule } from "../rule";

const schema = v.object({ kind: v.literal("easy") });
type Easy = v.InferOutput<typeof schema>;

class Said implements Counter {
  count = 0;

  get holds() {
    return this.count > 0;
  }

  play() {
    // What it feels like is not heard.
    return this.holds;
  }

  reset() {
    this.count = 0;
  }

  easy() {
    this.count = 1;
  }
}

/** The player says that it feels easy; reckoned, that comes with the first clean play. */
export const easy = {
  schema,
  first: () => ({ kind: "easy" }),
  needed: () => 1,
  counter: () => new Said(),
  rough: (_rule, p) => 1 / p,
} satisfies GateRule<Easy>;
