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

const playingOf = ({ seconds, playing }: JudgedPlay): number => playing ?? seconds;

/** The latest plays that fill the minutes with playing; all of them where they don't. */
class Latest implements Counter {
  private plays: JudgedPlay[] = [];
  private looked = 0;
  private clean = 0;
  private seconds = 0;
  constructor(private readonly rule: Minutes) {}

  get count() {
    return this.seconds / 60;
  }

  get holds() {
    const { minutes: asked, percent } = this.rule;
    const share = this.looked === 0 ? 0 : this.clean / this.looked;
    return this.seconds >= asked * 60 - ALMOST && share * 100 >= percent - ALMOST;
  }

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

  reset() {
    this.looked = this.clean = this.seconds = 0;
    this.plays = [];
  }
}

/** Minutes at the tempo: the playing alone, the latest of it. */
export const minutes = {
  schema,
  first: () => ({ kind: "minutes", minutes: 2, percent: 80 }),
  needed: (rule) => rule.minutes,
  counter: (rule) => new Latest(rule),
  cost: (rule, _p, seconds) => {
    const count = Math.ceil((rule.minutes * 60) / seconds - SETTLED);
    return rule.percent === 0 ? { mean: count, variance: 0 } : undefined;
  },
  rough: (rule, _p, seconds) => Math.ceil((rule.minutes * 60) / seconds),
} satisfies GateRule<Minutes>;
