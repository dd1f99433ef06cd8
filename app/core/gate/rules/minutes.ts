import * as v from "valibot";
import { ALMOST, isClean, type Counter, type GateRule, type JudgedPlay } from "../rule";
import { SETTLED } from "./chain";
import { numberFrom } from "./numbers";

/** So many minutes at the tempo, with at least this share clean. */
const schema = v.object({
  kind: v.literal("minutes"),
  minutes: numberFrom(0.25, 60, "minutes"),
  percent: numberFrom(0, 100, "percent"),
});
type Minutes = v.InferOutput<typeof schema>;

/** Minutes of the plays that are looked at, and how many of those were clean. */
abstract class Filled implements Counter {
  protected looked = 0;
  protected clean = 0;
  protected seconds = 0;
  constructor(protected readonly rule: Minutes) {}

  get count() {
    return this.seconds / 60;
  }

  get holds() {
    const { minutes: asked, percent } = this.rule;
    const share = this.looked === 0 ? 0 : this.clean / this.looked;
    return this.seconds >= asked * 60 - ALMOST && share * 100 >= percent - ALMOST;
  }

  abstract play(play: JudgedPlay): boolean;

  reset() {
    this.looked = this.clean = this.seconds = 0;
  }
}

const playingOf = ({ seconds, playing }: JudgedPlay): number => playing ?? seconds;

/** The latest plays that fill the minutes with playing; all of them where they don't. */
class Latest extends Filled {
  private plays: JudgedPlay[] = [];

  play(play: JudgedPlay) {
    this.plays.push(play);
    this.looked++;
    this.seconds += playingOf(play);
    if (isClean(play)) this.clean++;
    for (;;) {
      const oldest = this.plays[this.plays.length - this.looked]!;
      const without = this.seconds - playingOf(oldest);
      if (without < this.rule.minutes * 60 - ALMOST) return this.holds;
      this.seconds = without;
      if (isClean(oldest)) this.clean--;
      this.looked--;
    }
  }

  override reset() {
    super.reset();
    this.plays = [];
  }
}

/** Under the first rules: all plays of the rung, with their count-ins. */
class WholeRung extends Filled {
  play(play: JudgedPlay) {
    this.looked++;
    this.seconds += play.seconds;
    if (isClean(play)) this.clean++;
    return this.holds;
  }
}

/** Minutes at the tempo: the playing alone, the latest of it. */
export const minutes = {
  schema,
  first: () => ({ kind: "minutes", minutes: 2, percent: 80 }),
  needed: (rule) => rule.minutes,
  counter: (rule, rules) => (rules === 1 ? new WholeRung(rule) : new Latest(rule)),
  cost: (rule, _p, seconds) => {
    const count = Math.ceil((rule.minutes * 60) / seconds - SETTLED);
    return rule.percent === 0 ? { mean: count, variance: 0 } : undefined;
  },
  rough: (rule, _p, seconds) => Math.ceil((rule.minutes * 60) / seconds),
} satisfies GateRule<Minutes>;
