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
  private readonly plays: JudgedPlay[] = [];
  private from = 0;
  private clean = 0;
  private seconds = 0;
  constructor(
    private readonly rule: Minutes,
    /** What of a play is looked at; and whether ever fewer of them are. */
    private readonly lasts: (play: JudgedPlay) => number,
    private readonly forgets: boolean,
  ) {}

  get count() {
    return this.seconds / 60;
  }

  get holds() {
    const { minutes, percent } = this.rule;
    const looked = this.plays.length - this.from;
    const share = looked === 0 ? 0 : this.clean / looked;
    return this.count >= minutes - ALMOST && share * 100 >= percent - ALMOST;
  }

  play(play: JudgedPlay) {
    this.plays.push(play);
    this.seconds += this.lasts(play);
    this.clean += isClean(play) ? 1 : 0;
    const enough = this.rule.minutes * 60 - ALMOST;
    for (let oldest = this.oldest(); this.seconds - this.lasts(oldest) >= enough;) {
      if (!this.forgets) return;
      this.seconds -= this.lasts(oldest);
      this.clean -= isClean(oldest) ? 1 : 0;
      this.from++;
      oldest = this.oldest();
    }
  }

  private oldest = (): JudgedPlay => this.plays[this.from]!;
}

/** Minutes at the tempo: the playing alone, the latest of it. */
export const minutes = {
  schema,
  first: () => ({ kind: "minutes", minutes: 2, percent: 80 }),
  needed: (rule) => rule.minutes,
  counter: (rule, rules) =>
    rules === 1
      ? new Latest(rule, ({ seconds }) => seconds, false)
      : new Latest(rule, ({ seconds, playing = seconds }) => playing, true),
  cost: (rule, _p, seconds) => {
    const count = Math.ceil((rule.minutes * 60) / seconds - SETTLED);
    return rule.percent === 0 ? { mean: count, variance: 0 } : undefined;
  },
  rough: (rule, _p, seconds) => Math.ceil((rule.minutes * 60) / seconds),
} satisfies GateRule<Minutes>;
