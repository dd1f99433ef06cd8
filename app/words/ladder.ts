import type { GateKind } from "~/core/gate";
import type { SchoolName, StartRule } from "~/core/ladder";

const plural = (count: number, one: string, many: string) => (count === 1 ? one : many);

export const ladder = {
  ladder: {
    title: "Ladder",
    mark: "tempo mark",
    path: "The way up",
    start: "Start",
    target: "Target",
    school: "School",
    schools: {
      "even-steps": {
        label: "Even steps",
        goodFor: "The same step from start to target; plain and easy to feel.",
      },
      "percent-steps": {
        label: "Percent steps",
        goodFor: "Steps grow with the tempo and shrink near the target, where it gets hard.",
      },
    } satisfies Record<SchoolName, { label: string; goodFor: string }>,
    numbers: {
      step: "Step",
      percent: "Step",
      percentAbove: "Step above the knee",
      knee: "Knee",
      least: "Smallest step",
    } as Readonly<Record<string, string>>,
    units: { bpm: "bpm", percent: "%", "percent-of-target": "% of target" },
    daily: "Each day",
    startRule: "Today starts",
    startRules: {
      "where-ended": "where it ended",
      "where-ended-less": "a little below where it ended",
      comfortable: "at the comfortable tempo",
      "half-of-target": "at half of the target",
      "percent-of-target": "at a share of the target",
    } satisfies Record<StartRule["kind"], string>,
    percentOfTarget: "Share of the target",
    stepsBack: "Below by",
    rungs: "rungs",
    minutes: "Minutes a day",
    rest: "Rest between rungs",
    subdivision: "Clicks",
    perBeat: "per beat",
    countIn: "Count-in",
    offerAfter: "Offer another way after",
    flawedPlays: "flawed",
    offerHelp: "Then: lower, smaller, a rest, or leave it",
    hidden: "Hide the number while playing",
    submit: "Set this ladder",
  },
  gate: {
    title: "When to go up",
    rule: "Gate",
    kinds: {
      "in-a-row": "clean plays in a row",
      "in-all": "clean plays in all",
      "of-last": "clean plays of the last few",
    } satisfies Record<GateKind, string>,
    plays: "Clean plays",
    clean: "clean",
    window: "Of the last",
    playsUnit: "plays",
    afterFlawed: "A flawed play",
    reset: "returns the count to zero",
    minusOne: "takes one away",
  },
  cost: {
    rungs: "Rungs",
    plays: "Plays",
    minutes: "Minutes",
    about: (value: string) => `≈ ${value}`,
    many: "too many",
    hours: "over 10 h",
    fits: (minutes: number) => `Through in ${minutes} min`,
    told: (name: string, low: string, high: string, days: number, minutes: number) =>
      `For ${name} this takes between ${low} and ${high} minutes: about ${days} ${plural(days, "day", "days")} of ${minutes} minutes.`,
    hardest: (tempo: number, clean: string, plays: string) =>
      `Hardest at ${tempo} bpm, where ${clean} of plays are clean: about ${plays} plays there.`,
    outOfReach: (name: string, tempo: number, clean: string) =>
      `Out of ${name}'s reach as it is: at ${tempo} bpm only ${clean} of plays would be clean. Try a lower target for now, or a lighter gate.`,
    fromPrior: "Nothing played yet: reckoned from what is usual for a new passage.",
    fromRecord: (plays: string) =>
      `Reckoned from ${plays} recent plays of this passage. What is learned on the way is left out, so it errs on the long side.`,
  },
} as const;
