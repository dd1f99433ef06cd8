import type { AfterFlawed, Family, SchoolName, StartRule, TaskOrder } from "~/core/ladder";
import type { Rule, RuleKind } from "~/core/gate";
import { noteValues, withdrawals } from "./rung";

const plural = (count: number, one: string, many: string) => (count === 1 ? one : many);

export const ladder = {
  ladder: {
    title: "Workshop",
    mark: "tempo mark",
    path: "The way up",
    start: "Start",
    target: "Target",
    school: "How the tempo rises",
    schools: {
      "even-steps": {
        label: "Even steps",
        goodFor: "The same step from start to target; plain and easy to feel.",
      },
      "percent-steps": {
        label: "Percent steps",
        goodFor: "Steps grow with the tempo and shrink near the target, where it gets hard.",
      },
      "shrinking-steps": {
        label: "Shrinking steps",
        goodFor: "Large steps while it is easy, small ones near the target.",
      },
      marks: {
        label: "Metronome marks",
        goodFor: "So many marks of the traditional scale at a time.",
      },
      "forward-back": {
        label: "Forward and back",
        goodFor: "Every step down wins control of what the step up has touched.",
      },
      overspeed: {
        label: "Overspeed finish",
        goodFor:
          "A little beyond the target, so that the target itself arrives as the easier tempo.",
      },
      "comfort-span": {
        label: "Comfort span",
        goodFor:
          "Slower and faster around the comfortable tempo, each held: evenness at every speed.",
      },
      burst: {
        label: "Burst cycles",
        goodFor: "Short fast plays between slow ones, never long enough to fall apart.",
      },
      "slow-fast": {
        label: "Slow and fast",
        goodFor: "When the notes are known: feel it at tempo, then look at details slowly.",
      },
      "woven-chain": {
        label: "Woven chain",
        goodFor: "Link by link, each new one alone and joined to those before: nothing stays weak.",
      },
      joining: {
        label: "Joining",
        goodFor: "Bar by bar, then pairs, then the phrase: for what is not in the fingers yet.",
      },
      "by-date": {
        label: "By the date",
        goodFor: "So much each practice day, re-drawn after what really happened.",
      },
      rhythm: {
        label: "Rhythm ladder",
        goodFor: "One tempo, ever shorter notes: for scales and patterns.",
      },
      withdraw: {
        label: "Withdraw the click",
        goodFor: "One tempo with ever less help, so that the pulse is the player's own.",
      },
      layers: {
        label: "Layers",
        goodFor: "One tempo, ever more of the task; each layer with its own gate.",
      },
      consolidate: {
        label: "Consolidate",
        goodFor: "After a ceiling: many plays a little below, a few above, then at it.",
      },
    } satisfies Record<SchoolName, { label: string; goodFor: string }>,
    numbers: {
      step: "Step",
      stepAbove: "Step above the knee",
      percent: "Step",
      percentAbove: "Step above the knee",
      knee: "Knee",
      least: "Smallest step",
      marks: "Step",
      by: "Steps in",
      unit: "One step",
      up: "Forward",
      down: "Back",
      in: "Beyond in",
      beyond: "Beyond the target",
      steps: "Steps each way",
      hold: "Hold each",
      ratio: "Fast is",
      slow: "Slow plays",
      fast: "Fast plays",
      mostFast: "Growing to",
      rounds: "Rounds",
      feel: "At the target",
      size: "Length of a link",
      window: "Longest chain",
      order: "Order",
      days: "Practice days",
      perWeek: "Practised",
      shape: "Days rise",
      moves: "Rungs a day",
      plays: "Plays below",
      below: "Below by",
      above: "Above by",
      over: "Plays above",
      values: "Note values",
      clicks: "What is left of the click",
      layers: "Layers",
    } as Readonly<Record<string, string>>,
    /** What the target is called where it is that of the fast plays only. */
    fastTarget: "Target of the fast plays",
    oneBase: (highest: number) =>
      `The slow plays go up to ${highest} bpm, where the fast ones are at the target: from there it is one rung.`,
    /** Where a label means something else in one school. */
    numbersOf: {
      "woven-chain": { unit: "Links of" },
      consolidate: { in: "Distances in" },
    } as Readonly<Partial<Record<SchoolName, Readonly<Record<string, string>>>>>,
    choices: {
      marks: "metronome marks",
      bpm: "bpm",
      percent: "percent",
      bar: "bars",
      beat: "beats",
      "join-first": "join first, then the tempo",
      "tempo-first": "tempo first, then join",
      linear: "evenly in bpm",
      proportional: "evenly in percent",
    } as Readonly<Record<string, string>>,
    units: {
      bpm: "bpm",
      percent: "%",
      "percent-of-target": "% of target",
      marks: "marks",
      steps: "steps",
      seconds: "s",
      plays: "plays",
      times: "× slow",
      links: "links",
      units: "each",
      days: "days",
      "days-a-week": "days a week",
      rounds: "rounds",
      rungs: "rungs",
      chosen: "",
    },
    noteValues,
    withdrawals,
    families: {
      wind: "wind",
      bowed: "bowed",
      plucked: "plucked",
      keyboard: "keyboard",
      voice: "voice",
      percussion: "percussion",
      free: "free",
    } satisfies Record<Family, string>,
    list: {
      preset: "Preset for",
      add: "Add a line",
      item: (number: number) => `Line ${number}`,
      clean: (number: number) => `Clean in a row for line ${number}`,
      tempo: (number: number) => `Tempo of line ${number} in bpm`,
      ownGate: "clean in a row (0: the gate below)",
      ownTempo: "clean in a row (0: the gate below), and bpm (0: the target)",
      up: (number: number) => `Line ${number} up`,
      down: (number: number) => `Line ${number} down`,
      remove: (number: number) => `Take line ${number} out`,
    },
    tasks: {
      title: "Gone through besides",
      nothing: "nothing: the tempo alone",
      presets: {
        hands: "hands apart, then together",
        dynamics: "soft and loud",
        major: "all twelve major keys",
        minor: "all twelve minor keys",
      },
      order: "In which order",
      orders: {
        "each-rung": "all of them at each rung",
        "in-turn": "the whole way with each",
        "by-play": "by turns, play by play",
      } satisfies Record<TaskOrder, string>,
      item: (of: "tasks" | "keys", number: number) =>
        of === "keys" ? `Key ${number}` : `Task ${number}`,
      full: (name: string) => `${name}: as it should be`,
      help: {
        tasks:
          "Ticked: the passage as it should be. What isn't, one hand alone, says nothing of the tempo reached.",
        keys: "As you would write them: C, F♯ minor, Eb.",
      },
      add: { tasks: "Add a task", keys: "Add a key" },
      remove: (of: "tasks" | "keys", number: number) =>
        of === "keys" ? `Take key ${number} out` : `Take task ${number} out`,
      none: "Go through nothing",
      told: (count: number, of: "tasks" | "keys", order: TaskOrder) =>
        ({
          "each-rung": `${count} ${of} at each rung`,
          "in-turn": `${count} ${of} one after the other`,
          "by-play": `${count} ${of} by turns`,
        })[order],
    },
    daily: "Each day",
    startRule: "Today starts",
    startRules: {
      "as-set": "at the start that is set",
      "where-ended": "where it ended",
      "where-ended-less": "a little below where it ended",
      comfortable: "at the comfortable tempo",
      advised: "as advised",
      "half-of-target": "at half of the target",
      "percent-of-target": "at a share of the target",
      measured: "measured at the stand: tap along",
    } satisfies Record<StartRule["kind"], string>,
    startingAt: (rule: string, tempo: string) => `${rule}: ${tempo}`,
    advisedWhy:
      "The fastest tempo at which a clean play is likely (85 in 100) even by the low end of what the record tells, and never above what was passed.",
    percentOfTarget: "Share of the target",
    stepsBack: "Below by",
    rungs: "rungs",
    dayTold: (of: { startRule: StartRule; minutes: number; days: number }): string => {
      const starts: Record<StartRule["kind"], string> = ladder.ladder.startRules;
      const over = of.days > 1 ? ` over ${of.days} days` : "";
      return `${of.minutes} min${over}; starts ${starts[of.startRule.kind]}`;
    },
    minutes: "Minutes a day",
    overDays: "Over",
    days: (count: number) => plural(count, "day", "days"),
    rest: "Rest between rungs",
    hidden: "Hide the number while playing",
    overspeed: "Overspeed at the end",
    warmUp: "Easy rungs first",
    mostAbove: "Most above comfort",
    noCap: "0: no cap",
    submit: "Set this ladder",
  },
  gate: {
    title: "When to go up",
    rule: "Gate",
    kinds: {
      "in-a-row": "clean plays in a row",
      "in-all": "clean plays in all",
      "of-last": "clean plays of the last few",
      minutes: "minutes, with a share clean",
      easy: "it feels easy, says the player",
      timing: "even timing, tapped along",
      played: "plays, clean or not",
      "clock-plays": "by the clock, after so many runs",
      "clock-minutes": "by the clock, after so many minutes",
    } satisfies Record<RuleKind, string>,
    plays: "Clean plays",
    played: "Plays",
    clean: "clean",
    window: "Of the last",
    playsUnit: "plays",
    minutes: "At the tempo",
    percent: "At least clean",
    within: "Spread within",
    afterFlawed: "A flawed play",
    reset: "returns the count to zero",
    minusOne: "takes one away",
    add: "And also …",
    remove: "Take this rule out",
    /** A rule in a few words. */
    told: (rule: Rule): string => {
      switch (rule.kind) {
        case "in-a-row":
          return `${rule.plays} clean in a row`;
        case "in-all":
          return `${rule.plays} clean in all`;
        case "of-last":
          return `${rule.plays} clean of the last ${rule.window}`;
        case "minutes":
          return rule.percent > 0
            ? `${rule.minutes} min, ${rule.percent} % clean`
            : `${rule.minutes} min`;
        case "easy":
          return "it feels easy";
        case "timing":
          return `even within ${rule.within} ms`;
        case "played":
          return `${rule.plays} ${plural(rule.plays, "play", "plays")}`;
        case "clock-plays":
          return `by the clock: ${rule.plays} ${plural(rule.plays, "run", "runs")}${rule.back ? ", up and down" : ""}`;
        case "clock-minutes":
          return `by the clock: ${rule.minutes} min${rule.back ? ", up and down" : ""}`;
      }
    },
    clockBack: "Up and down again",
    clockHelp: "The tempo moves on by itself. No verdict is asked, and nothing counts as passed.",
    runs: "Runs at each tempo",
    runsUnit: "runs",
    clockMinutes: "At each tempo",
    flawedTitle: "When it goes wrong",
    flawedPlays: "After",
    flawed: "flawed",
    then: "Then",
    thens: {
      ask: "ask the player",
      lower: "go lower",
      cut: "cut around the flawed bars",
      rest: "take a rest",
      leave: "leave it for today",
    } satisfies Record<AfterFlawed["then"], string>,
    lowerBy: "Lower by",
    restFor: "Rest for",
    context: "In context",
    contextUnit: "bars around",
    flawedTold: ({ plays, then, steps }: AfterFlawed, bars: number): string => {
      const way = {
        ask: "another way is offered",
        lower: `${steps} lower`,
        cut: "cut around the bars",
        rest: "a rest",
        leave: "left for today",
      }[then];
      const around = bars > 0 ? `; in context with ${bars} ${plural(bars, "bar", "bars")}` : "";
      return `After ${plays} flawed: ${way}${around}`;
    },
    contextHelp: "Bars before and after that are played with it before it counts; 0: none",
    contextAt: "Played in context",
    contextAts: { top: "at the last rung", "each-rung": "at each rung" },
  },
} as const;
