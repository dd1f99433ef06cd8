import * as v from "valibot";
import { ALMOST, type Counter, type GateRule, type JudgedPlay } from "../rule";
import { SETTLED } from "./chain";
import { numberFrom, plays } from "./numbers";
import { Tally } from "./tally";

/** Up to the top and down again, or only up; default only up. */
const back = v.optional(v.boolean(), false);

const playsSchema = v.object({ kind: v.literal("clock-plays"), plays, back });
type ClockPlays = v.InferOutput<typeof playsSchema>;

/** So many plays, and on: nobody is asked how they were. */
export const clockPlays = {
  schema: playsSchema,
  first: (count) => ({ kind: "clock-plays", plays: count, back: false }),
  needed: (rule) => rule.plays,
  counter: (rule) => new Tally(rule.plays, () => true),
  cost: (rule) => ({ mean: rule.plays, variance: 0 }),
  rough: (rule) => rule.plays,
} satisfies GateRule<ClockPlays>;

const minutesSchema = v.object({
  kind: v.literal("clock-minutes"),
  minutes: numberFrom(0.25, 60, "minutes"),
  back,
});
type ClockMinutes = v.InferOutput<typeof minutesSchema>;

/** Playing, without count-in and breather. */
class Clock implements Counter {
  private seconds = 0;
  constructor(private readonly minutes: number) {}

  get count() {
    return this.seconds / 60;
  }

  get holds() {
    return this.seconds >= this.minutes * 60 - ALMOST;
  }

  play({ seconds, playing = seconds }: JudgedPlay) {
    this.seconds += playing;
    return this.holds;
  }

  reset() {
    this.seconds = 0;
  }
}

const playsIn = ({ minutes }: ClockMinutes, seconds: number): number =>
  Math.ceil((minutes * 60) / seconds - SETTLED);

/** So many minutes of playing, and on. */
export const clockMinutes = {
  schema: minutesSchema,
  first: () => ({ kind: "clock-minutes", minutes: 1, back: false }),
  needed: (rule) => rule.minutes,
  counter: (rule) => new Clock(rule.minutes),
  cost: (rule, _p, seconds) => ({ mean: playsIn(rule, seconds), variance: 0 }),
  rough: (rule, _p, seconds) => playsIn(rule, seconds),
} satisfies GateRule<ClockMinutes>;
