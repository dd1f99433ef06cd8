import * as v from "valibot";
import { isClean, type Counter, type GateRule } from "../rule";
import { cleanInAll } from "./in-all";
import { plays } from "./numbers";

const LONGEST_WINDOW = 10;

const schema = v.pipe(
  v.object({
    kind: v.literal("of-last"),
    plays,
    window: v.pipe(
      v.number("Say how many plays to look back."),
      v.integer("Plays are counted whole."),
      v.minValue(1, "At least 1 play."),
      v.maxValue(LONGEST_WINDOW, `At most ${LONGEST_WINDOW} plays back.`),
    ),
  }),
  v.forward(
    v.check(
      ({ plays: clean, window }) => clean <= window,
      "There can't be more clean plays than plays looked at.",
    ),
    ["plays"],
  ),
);
type OfLast = v.InferOutput<typeof schema>;

class Window implements Counter {
  /** One bit for each of the last verdicts. */
  private bits = 0;
  constructor(private readonly rule: OfLast) {}

  get count() {
    let ones = 0;
    for (let rest = this.bits; rest; rest &= rest - 1) ones++;
    return ones;
  }

  get holds() {
    return this.count >= this.rule.plays;
  }

  play(play: Parameters<Counter["play"]>[0]) {
    const mask = (1 << this.rule.window) - 1;
    this.bits = ((this.bits << 1) | (isClean(play) ? 1 : 0)) & mask;
    return this.holds;
  }

  reset() {
    this.bits = 0;
  }
}

/** So many clean among the last few. Their verdicts are too many states for a quick formula. */
export const ofLast = {
  schema,
  first: (count) => ({
    kind: "of-last",
    plays: Math.min(LONGEST_WINDOW - 1, count),
    window: Math.min(LONGEST_WINDOW, count + 1),
  }),
  needed: (rule) => rule.plays,
  counter: (rule) => new Window(rule),
  rough: (rule, p) => cleanInAll(rule.plays, p).mean,
} satisfies GateRule<OfLast>;
