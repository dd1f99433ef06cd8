import type { RegionLink, TempoChange } from "~/core/score";
import { count, tenth } from "./counts";

const span = (low: number, high: number): string =>
  low === high ? tenth(low) : `${tenth(low)} to ${tenth(high)}`;

/** What is said of the tempi of a piece. */
export const tempiWords = {
  title: "Tempo",
  how: "Drag a tempo up or down, or use the arrow keys. Press one to change more of it.",
  line: "Tempo over the piece",
  tempoOf: (name: string) => `Tempo of ${name}`,
  bpmAt: (bpm: number) => `${tenth(bpm)} bpm`,
  bars: (from: number, to: number) => (from === to ? `bar ${from}` : `bars ${from}–${to}`),
  follows: "follows",
  keep: "Keep these tempi",
  putBack: "Put back",
  add: "Another tempo from bar",
  addNow: "Add it",
  remove: "Take this tempo out",
  region: (name: string) => `From ${name}`,
  fromBar: "From bar",
  unit: "Beat unit",
  own: "A number of its own",
  low: "Tempo",
  high: "up to",
  words: "Words",
  clicks: "Clicks a beat",
  link: "What it has to do with another",
  of: "With",
  links: {
    none: "stands on its own",
    same: "notes go on as there",
    note: "a note becomes another",
    ratio: "so many times its beats a minute",
    "at-most": "at most as many beats a minute",
    "at-least": "at least as many beats a minute",
  } satisfies Record<RegionLink["kind"] | "none", string>,
  here: "Here",
  there: "There",
  ratioLow: "Times",
  ratioHigh: "up to",
  ratioHow:
    "Beats a minute of each region's own unit: 1.05 of ♩ = 60 is ♩. = 63 where ♩. is the unit.",
  linked: (link: RegionLink, other: string): string => {
    switch (link.kind) {
      case "same":
        return `notes as in ${other}`;
      case "note":
        return `a note of ${other} becomes another`;
      case "ratio":
        return `${span(link.low, link.high) === tenth(link.low) ? link.low : `${link.low} to ${link.high}`} of ${other}`;
      case "at-most":
        return `at most ${other}`;
      case "at-least":
        return `at least ${other}`;
    }
  },
  contradiction: {
    asks: (what: string, other: string, low: number, high: number) =>
      `, ${what}, asks for ${other} at ${span(low, high)}`,
    has: (low: number, high: number) => `; it has ${span(low, high)}.`,
    take: (name: string, bpm: number) => `${name} at ${tenth(bpm)}`,
  },
  bend: "A ritardando, an accelerando, a fermata, a breath",
  changeKinds: {
    gradual: "slower or faster by degrees",
    fermata: "fermata",
    breath: "breath",
  } satisfies Record<TempoChange["kind"], string>,
  addChange: "Add",
  bar: "Bar",
  beat: "Beat",
  over: "Over beats",
  to: "To percent",
  held: "Held beats in all",
  silence: "Beats of silence after it",
  back: "the tempo again after it",
  through: "the click goes through",
  silent: "The click falls silent from its second beat and counts a bar when it is back.",
  takeOut: "Take it out",
  changeTold: (change: TempoChange): string => {
    const where = `bar ${change.bar}, beat ${change.beat}`;
    if (change.kind !== "gradual") {
      const what = change.kind === "fermata" ? "Fermata at" : "Breath after";
      return `${what} ${where}: ${count(change.beats, "beat")}`;
    }
    const word = change.percent < 100 ? "Slower" : "Faster";
    return `${word} from ${where}, over ${count(change.beats, "beat")} to ${change.percent} %`;
  },
  moved: {
    title: "Ladders that these tempi would change",
    line: (bars: string, was: number, is: number) => `${bars}: from ${tenth(was)} to ${tenth(is)}`,
    change: "Change it",
    inWeek: "this week asks for it; at the lesson",
  },
} as const;
