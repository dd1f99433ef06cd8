import { barLength, TOLERANCE, type Metre } from "~/core/units";
import type { LoopRequest } from "./map";
import { barPulses, lengthInSeconds } from "./pattern";

/** What lies around the playing of a loop. Lengths are in whole notes. */
export interface Frame {
  /** Bars of the count-in, and how much of the first one is left out. */
  readonly counting: { readonly metre: Metre; readonly bars: number; readonly from: number };
  /** One more bar, counted within. */
  readonly inner: boolean;
  /** Left out of the first bar played, where playing follows without a gap. */
  readonly leadFrom: number;
  /** Where the last bar is cut off for the same reason; its whole length otherwise. */
  readonly lastTo: number;
  /** Bars of the breather, and how long the last one is. */
  readonly breather: { readonly metre: Metre; readonly bars: number; readonly lastTo: number };
}

/** Where the second half of a bar begins: the first beat, or group of beats, from its middle on. */
export function middleOf(metre: Metre, beatUnit: LoopRequest["beatUnit"]): number {
  const half = barLength(metre) / 2 - TOLERANCE;
  const beats = barPulses(metre, beatUnit).filter(({ voice }) => voice !== "subdivision");
  return beats.find(({ at }) => at >= half)?.at ?? 0;
}

const isSameMetre = (a: Metre, b: Metre): boolean => a.beats === b.beats && a.unit === b.unit;

/** Only between plays without a gap does a pickup overlap with the last bar. */
function overlap({ bars, leadBeats, endBeats }: LoopRequest): number | undefined {
  const [first, last] = [bars[0]!.metre, bars.at(-1)!.metre];
  if (leadBeats === 0 || endBeats === 0) return undefined;
  const meets = isSameMetre(first, last) && endBeats <= leadBeats;
  return (meets ? leadBeats : endBeats) / last.unit;
}

function breatherOf(request: LoopRequest, halfFirst: number): Frame["breather"] {
  const { bars, beatUnit, plays, click, turnsIn } = request;
  const metre = turnsIn ?? bars.at(-1)!.metre;
  const whole = barLength(metre);
  const none = { metre, bars: 0, lastTo: whole };
  if (click.breather.kind === "in-time" || click.breather.seconds === 0) return none;
  const barSeconds = lengthInSeconds(whole, plays[0].tempo, beatUnit);
  const half = halfFirst / whole;
  const needed = click.breather.seconds / barSeconds - half;
  const wholes = Math.max(half > 0 ? 0 : 1, Math.ceil(needed - TOLERANCE));
  // The half bar that counts in what comes next completes the breather's last bar.
  return half > 0
    ? { metre, bars: wholes + 1, lastTo: halfFirst }
    : { metre, bars: wholes, lastTo: whole };
}

/** Count-in, cuts and breather of a loop, as its click programme sets them. */
export function frameOf(request: LoopRequest): Frame {
  const { bars, beatUnit, leadBeats, click, turnsIn, first } = request;
  const { countIn, breather } = click;
  const metre = turnsIn ?? bars[0]!.metre;
  const last = bars.at(-1)!.metre;
  const inTime = breather.kind === "in-time";
  const counts = first || !(inTime || countIn.firstOnly);
  const middle = countIn.bars === 0.5 ? middleOf(metre, beatUnit) : 0;
  const isHalf = middle > 0 && !countIn.firstOnly && isSameMetre(metre, turnsIn ?? last);
  return {
    counting: { metre, bars: counts ? Math.ceil(countIn.bars) : 0, from: middle },
    inner: counts && countIn.inner,
    leadFrom: inTime && !first ? leadBeats / bars[0]!.metre.unit : 0,
    lastTo: (inTime ? overlap(request) : undefined) ?? barLength(last),
    breather: breatherOf(request, isHalf ? middle : 0),
  };
}

/** Whole notes counted and breathed at the first tempo. */
export function lengthAround({ counting, inner, breather }: Frame): number {
  const bar = barLength(counting.metre);
  const counted = counting.bars > 0 ? counting.bars * bar - counting.from : 0;
  const rest =
    breather.bars > 0 ? (breather.bars - 1) * barLength(breather.metre) + breather.lastTo : 0;
  return counted + (inner ? bar : 0) + rest;
}
