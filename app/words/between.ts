import type { Breather, CountIn } from "~/core/click";

const bars = (count: CountIn["bars"]) =>
  count === 0.5 ? "half a bar" : count === 1 ? "1 bar" : "2 bars";

const breatherTold = (breather: Breather) => {
  if (breather.kind === "in-time") return "no breather";
  return breather.seconds === 0 ? "on as soon as judged" : `${breather.seconds} s to breathe`;
};

/** What lies between two plays: count-in and breather. */
export const between = {
  between: {
    title: "Between plays",
    told: ({ countIn, breather }: { countIn: CountIn; breather: Breather }) => {
      const first = breather.kind === "in-time" || countIn.firstOnly;
      return `${bars(countIn.bars)} counted in${first ? ", the first time" : ""}; ${breatherTold(breather)}`;
    },
    countIn: "Count-in",
    bars,
    firstOnly: "Only before the first play of a rung",
    inner: "One more bar counted silently",
    subdivision: "Clicks while counting",
    perBeat: "per beat",
    breather: "Between two plays",
    breathers: {
      seconds: "a breather",
      "in-time": "none: go on in time",
    } satisfies Record<Breather["kind"], string>,
    breatherNamed: (breather: Breather) => {
      if (breather.kind === "in-time") return "none: go on in time";
      return breather.seconds === 0
        ? "none: on as soon as judged"
        : `at least ${breather.seconds} s`;
    },
    seconds: "Breather",
    atLeast: "s, in whole bars",
    inTime:
      "One play follows the other without a gap. A verdict given while the next one runs belongs to the one before; when it opens the gate, the running play is finished and counts for nothing.",
    breathe: "Reminder (optional)",
    breatheTold: "Shown at the stand each time the tempo goes up: shoulders, jaw, breath.",
    breatheUsual: "shoulders, jaw, breath",
    players: (name: string, told: string) =>
      `At the stand ${name} has set: ${told}. That holds, and what it costs is reckoned by it, until something else is set here.`,
    kept: "From the next play on, and on the days to come.",
    set: "Set it",
  },
} as const;
