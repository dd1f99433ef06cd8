import { minutes, tenth } from "./counts";
import type { Focus } from "~/core/week";
import type { PassageState } from "~/core/score";
import type { BeatUnit } from "~/core/units";

const plural = (count: number, one: string, many: string) => (count === 1 ? one : many);

export const music = {
  beatUnit: {
    whole: "whole note",
    "dotted-half": "dotted half note",
    half: "half note",
    "dotted-quarter": "dotted quarter note",
    quarter: "quarter note",
    "dotted-eighth": "dotted eighth note",
    eighth: "eighth note",
    sixteenth: "sixteenth note",
  } satisfies Record<BeatUnit, string>,
  /** How well a bar goes, as it was touched. */
  barMark: { raw: "not yet", forming: "nearly", safe: "safe" } satisfies Record<
    PassageState,
    string
  >,
  state: { raw: "raw", forming: "forming", safe: "safe" } satisfies Record<PassageState, string>,
  bpm: (tempo: number | string) => `${typeof tempo === "number" ? tenth(tempo) : tempo} bpm`,
  /** A tempo in bpm, or in percent of a full tempo. */
  tempoTold: (bpm: number, of: number | null): string =>
    of === null ? `${tenth(bpm)} bpm` : `${Math.round((100 * bpm) / of)} %`,
  bars: (from: number, to: number) => (from === to ? `bar ${from}` : `bars ${from}–${to}`),
  barCount: (count: number) => `${count} ${plural(count, "bar", "bars")}`,
  minutes,
  plays: (count: number) => `${count} ${plural(count, "play", "plays")}`,
  /** Milliseconds; `bias` is the mean, below 0 early. */
  evenness(spread: number, bias = 0) {
    const told = `even within ${Math.round(spread)} ms`;
    const off = Math.round(Math.abs(bias));
    return off < 5 ? told : `${told}, ${off} ms ${bias < 0 ? "early" : "late"}`;
  },
  cleanOf: (clean: number, plays: number) => `${clean} of ${plays} clean`,
  days: (count: number) => `${count} ${plural(count, "day", "days")}`,
  barRibbon: {
    label: (bars: number) => `${bars} ${plural(bars, "bar", "bars")}`,
    choose: "Bars. Drag over them, or use the arrow keys with Shift, to choose a passage.",
    bar: (number: number, flawed: number, mark?: string) =>
      [
        `bar ${number}`,
        ...(mark ? [mark] : []),
        ...(flawed ? [`flawed ${flawed} ${plural(flawed, "time", "times")}`] : []),
      ].join(", "),
    pickup: (beats: number) => `pickup of ${beats} ${plural(beats, "beat", "beats")}`,
  },
  focuses: {
    "right-hand": "right hand",
    "left-hand": "left hand",
    together: "hands together",
    memory: "from memory",
    slow: "slow coordination",
    dynamics: "dynamics",
  } satisfies Record<Focus, string>,
  staircase: {
    /** A tempo in whole bpm, or in percent of a full tempo. */
    tempo: (bpm: number, of: number | null): string =>
      of === null ? String(Math.round(bpm)) : `${Math.round((100 * bpm) / of)} %`,
    unit: " bpm",
    label: (rungs: number, span: readonly [string, string] | undefined, unit: string) => {
      const what = `A staircase of ${rungs} ${plural(rungs, "rung", "rungs")}`;
      return span ? `${what} from ${span[0]} to ${span[1]}${unit}` : what;
    },
    small: (start: number, goal: number | null) =>
      goal === null ? `from ${tenth(start)}` : `from ${tenth(start)}, this week to ${goal}`,
    comfortable: (tempo: string) => `comfortable ${tempo}`,
    ceiling: (tempo: string) => `ceiling ${tempo}`,
    goal: (tempo: string) => `this week to ${tempo}`,
  },
  minuteRibbon: { label: (total: number) => `Today's ${Math.round(total)} minutes` },
} as const;
