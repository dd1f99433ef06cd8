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

/** The latest plays that fill the minutes with playing; all of them where they don't. */
class Latest implements Counter {
  private plays: JudgedPlay[] = [];
  private from = 0;
  private clean = 0;
  private seconds = 0;
  constructor(private readonly rule: Minutes) {}

  get count() {
    return this.seconds / 60;
  }

  get holds() {
    const looked = this.plays.length - this.from;
    return holds(this.rule, this.seconds, looked === 0 ? 0 : this.clean / looked);
  }

  play(play: JudgedPlay) {
    this.plays.push(play);
    this.seconds += playingOf(play);
    if (isClean(play)) this.clean++;
    const enough = this.rule.minutes * 60 - ALMOST;
    for (;;) {
      const oldest = this.plays[this.from]!;
      const without = this.seconds - playingOf(oldest);
      if (without < enough) return this.holds;
      this.seconds = without;
      if (isClean(oldest)) this.clean--;
      this.from++;
    }
  }

  reset() {
    this.plays = [];
    this.from = this.clean = this.seconds = 0;
  }
}

const playingOf = ({ seconds, playing }: JudgedPlay): number => playing ?? seconds;

const holds = ({ minutes: asked, percent }: Minutes, seconds: number, share: number): boolean =>
  seconds >= asked * 60 - ALMOST && share * 100 >= percent - ALMOST;

/** Under the first rules: all plays of the rung, with their count-ins. */
class WholeRung implements Counter {
  private all = 0;
  private clean = 0;
  private seconds = 0;
  constructor(private readonly rule: Minutes) {}

  get count() {
    return this.seconds / 60;
  }

  get holds() {
    return holds(this.rule, this.seconds, this.all === 0 ? 0 : this.clean / this.all);
  }

  play(play: JudgedPlay) {
    this.all++;
    if (isClean(play)) this.clean++;
    this.seconds += play.seconds;
    return this.holds;
  }

  reset() {
    this.all = this.clean = this.seconds = 0;
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
