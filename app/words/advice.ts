import type { Advice, LadderChange, Place, RuleName } from "~/core/judge";
import { common } from "./common";
import { count, days } from "./counts";
import { ladder } from "./ladder";
import { chanceInWords } from "./outlook";

type Tempo = (bpm: number) => string;
type DayTold = (day: string) => string;

/** The names of the rules, as they are switched on and off. */
export const ruleNames = {
  tension: "Tension was noted",
  "no-break": "No break for half an hour",
  "own-ear": "Own ear too kind or too hard",
  "after-days-off": "Start lower after days off",
  "go-down": "Go down",
  "same-ceiling": "The same ceiling on four days",
  "smaller-step": "A smaller step",
  "cut-around": "Cut around the bars where it fails",
  "near-limit": "Too much near the limit",
  "one-clean": "Moved on after one clean play",
  "behind-date": "Behind the date",
  "part-stands": "Back into the whole",
  "weakest-bit": "One bit lags behind",
  "what-next": "Which tempi next",
  "larger-step": "A larger step",
  waiting: "Much of it is waiting",
  "target-reached": "The target is reached",
  "nothing-moved": "Nothing moved",
} as const satisfies Record<RuleName, string>;

const { capital } = common;
const barsTold = ({ fromBar, toBar }: { readonly fromBar: number; readonly toBar: number }) =>
  fromBar === toBar ? `bar ${fromBar}` : `bars ${fromBar}–${toBar}`;

/** What a rule saw, and why it matters. */
export function adviceTold(advice: Advice, tempo: Tempo, day: DayTold): string {
  switch (advice.rule) {
    case "tension":
      return `Tension was noted at ${count(advice.saw.plays, "play")} on ${day(advice.saw.day)}. Gripping means too fast: a rest between rungs, and lower where it comes again.`;
    case "no-break":
      return `${advice.saw.minutes} min without a break on ${day(advice.saw.day)}. After half an hour five minutes off keep hands and ears fresh.`;
    case "after-days-off":
      return `Last played ${days(advice.saw.days)} ago: today would start at ${tempo(advice.saw.start)}, and a clean play is likely up to ${tempo(advice.saw.advised)}. A start that goes well brings the rest back sooner.`;
    case "go-down":
      return `At ${tempo(advice.saw.tempo)} ${advice.saw.clean} of ${count(advice.saw.plays, "play")} were clean. What is played flawed is learned flawed: lower first.`;
    case "same-ceiling":
      return `${tempo(advice.saw.tempo)} on ${advice.saw.days} days in a row, with ${tempo(advice.saw.target)} ahead. The same way again would bring the same: another school, no number, or fewer bars.`;
    case "smaller-step":
      return `${tempo(advice.saw.reached)} is passed and ${tempo(advice.saw.next)} falls apart: ${advice.saw.clean} of ${advice.saw.plays} clean. Half of the step lies within reach.`;
    case "cut-around":
      return `${advice.saw.flaws} of ${advice.saw.all} flaws fell in ${barsTold(advice.saw)}. By ${advice.saw.fromBar === advice.saw.toBar ? "itself it is" : "themselves they are"} sooner safe than with everything around.`;
    case "own-ear":
      return advice.saw.ear === "kind"
        ? `${advice.saw.times} of ${advice.saw.listened} takes that were listened to were clean at the stand, and a flaw was heard in them afterwards. While one plays, an ear is kind: ask for one clean play more, and listen back to a take a day.`
        : `${advice.saw.times} of ${advice.saw.listened} takes that were listened to were flawed at the stand, and no flaw was heard in them afterwards. It goes better than it seems: one clean play less will do, and a take a day shows it.`;
    case "near-limit":
      return `${advice.saw.near} of ${count(advice.saw.plays, "play")} on the last day lay near the limit (it breaks around ${tempo(advice.saw.ceiling)}). Most of the time belongs well below: a few rungs above the comfortable tempo are enough.`;
    case "one-clean":
      return `At ${tempo(advice.saw.tempo)} one of ${advice.saw.plays} plays was clean, and it went on faster. Once right after many wrong is a chance of one in ${advice.saw.plays} on stage: three in a row first.`;
    case "behind-date":
      return `That it stands at ${tempo(advice.saw.target)} on ${day(advice.saw.day)}: ${chanceInWords(advice.saw.chance)}. More days, or an honest lower target, would change that.`;
    case "part-stands":
      return `${capital(barsTold(advice.saw))} by ${advice.saw.fromBar === advice.saw.toBar ? "itself stands" : "themselves stand"} at ${tempo(advice.saw.target)}. What was taken out counts once it holds with the bars around it.`;
    case "weakest-bit":
      return `Comfortable at ${Math.round(100 * advice.saw.share)} % of its target, where its neighbours are at ${Math.round(100 * advice.saw.others)} %. A piece goes as well as its weakest bit: bring it level first.`;
    case "what-next":
      return `${advice.saw.shaky.map(tempo).join(", ")} ${advice.saw.shaky.length === 1 ? "was passed and is" : "were passed and are"} shaky still. Again from the slowest up, before anything faster.`;
    case "larger-step":
      return `${advice.saw.clean} of ${advice.saw.plays} plays clean on ${advice.saw.days} days, in steps of ${advice.saw.step} bpm. A larger step can be felt, and gets there sooner.`;
    case "waiting":
      return `A play takes ${advice.saw.seconds} s at ${tempo(advice.saw.tempo)}, and ${advice.saw.waits} of them go in counting in and breathing. Half a bar of count-in and a shorter breather leave more of the minutes for playing.`;
    case "target-reached":
      return `The target was passed on ${days(advice.saw.days)}. Once beyond it makes it easy; with less of a click it stands by itself; then now and then.`;
    case "nothing-moved":
      return `${advice.saw.plays} plays on ${day(advice.saw.day)}, and nothing moved. Such days are part of it; end today with something that goes well.`;
  }
}

/** What a week's item is for, where advice is put into it. */
export const preparedFocus: Partial<Record<RuleName, string>> = {
  tension: "loose, with rests; slower where it grips",
  "after-days-off": "begin low, and clean",
  "go-down": "lower first, and clean",
  "same-ceiling": "another way than last week",
  "smaller-step": "in smaller steps",
  "cut-around": "the bars where it fails, by themselves",
  "own-ear": "a take a day, listened back to",
  "near-limit": "most of it well below the limit",
  "one-clean": "three in a row before it goes up",
  "behind-date": "a little every day",
  "part-stands": "with the bars around it",
  "weakest-bit": "bring it level with its neighbours",
  "what-next": "the shaky tempi, from the slowest up",
  "larger-step": "in larger steps",
  waiting: "less waiting between plays",
  "target-reached": "once beyond, with less click, then now and then",
};

/** One press, by what it does. */
export function changeTold(change: LadderChange, tempo: Tempo): string {
  switch (change.kind) {
    case "start-advised":
      return "Start as advised";
    case "start-lower":
      return `Start ${count(change.steps, "step")} lower`;
    case "start":
      return `Start at ${tempo(change.tempo)}`;
    case "step":
      return `Steps of ${change.step} bpm`;
    case "gate":
      return `${change.plays} clean in a row`;
    case "hidden":
      return "Hide the number";
    case "school":
      return `Try ${ladder.ladder.schools[change.school].label}`;
    case "cap":
      return `At most ${change.rungs} rungs above comfortable`;
    case "rest":
      return `Rest ${change.seconds} s between rungs`;
    case "between":
      return `Half a bar counted in, ${change.seconds} s to breathe`;
    case "overspeed":
      return `${change.percent} % beyond the target`;
    case "target":
      return `Target ${tempo(change.target)}`;
    case "whole":
      return "All its bars again";
    case "part":
      return `${capital(barsTold(change))} for now`;
  }
}

export const adviceWords = {
  title: "Advice",
  hurts:
    "Something hurt last time. There is nothing to advise but to ask a person: a teacher, a doctor or a physiotherapist who knows musicians.",
  none: "Nothing to advise: it goes well as it goes.",
  places: {
    times: "Days and times",
    lesson: "To the next week's items",
    today: "To today's practice",
    cut: "Cut a passage there",
  } satisfies Record<Place, string>,
  dismiss: "Not now",
  dismissOf: (title: string) => `Not now: ${title}`,
  /** What is changed for today by a student. */
  forToday: (change: string, where: string) => `For today, in ${where}: ${change}.`,
  onlyToday: "Only for today",
  asSet: "As it is set again",
  asSetOf: (where: string) => `As it is set again: ${where}`,
  tried: {
    title: "Changed for a day",
    told: (change: string, rule: string, when: string, times: number) =>
      `${change}, because of “${rule}”: ${when}${times > 1 ? `, on ${times} days in all` : ""}.`,
    keep: "Keep it so",
    keepOf: (where: string) => `Keep it so: ${where}`,
  },
  prepare: "Into next week",
  prepareOf: (title: string) => `Into next week: ${title}`,
  prepared: "It is among next week's items below.",
  ask: "Take it to the lesson",
  asked: (advice: string) => `Fidus advises: ${advice}`,
  changed: "Changed, as pressed.",
  takeBack: "Take it back",
  done: {
    "taken-back": "Taken back: the ladder is as it was.",
    today: "Changed for today; your teacher sees it at the lesson.",
    "not-today": "As it is set again.",
    asked: "It waits for the lesson among the questions.",
    dismissed: "Put away until it is practised again.",
    off: "This rule is off.",
    on: "This rule is on again.",
  },
  rules: "Which advice is given",
  off: "Off",
  offFor: "Off for this student",
  offForAll: "Off for everyone",
  on: "On again",
  seesToday: (where: readonly (string | null)[]) =>
    `sees something today${where.some(Boolean) ? `: ${where.filter(Boolean).join("; ")}` : ""}`,
  isOff: (everyone: boolean) => (everyone ? "off for everyone" : "off for this student"),
} as const;
