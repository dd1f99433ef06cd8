import { TOLERANCE } from "../units";
import type { TakeBar } from "./take";

/** A moment that two takes share, in seconds of each. */
interface Pin {
  readonly here: number;
  readonly there: number;
}

/** Whether two takes have bars in common: the one is the other, or the other broken off. */
export const areBeside = (a: readonly TakeBar[], b: readonly TakeBar[]): boolean =>
  a.slice(0, b.length).every(({ bar }, index) => b[index]!.bar === bar);

/** Bar lines that both have, the beats between them, and the end of the last bar. */
function pinsOf(here: readonly TakeBar[], there: readonly TakeBar[]): Pin[] {
  const common = here.slice(0, there.length);
  const pins = common.flatMap((bar, index) => {
    const other = there[index]!;
    const inside = bar.beats.length === other.beats.length ? bar.beats.slice(1) : [];
    return [
      { here: bar.at, there: other.at },
      ...inside.map((beat, n) => ({ here: beat, there: other.beats[n + 1]! })),
    ];
  });
  const last = common.length - 1;
  const endOf = ({ at, duration }: TakeBar) => at + duration;
  return [...pins, { here: endOf(here[last]!), there: endOf(there[last]!) }];
}

/**
 * Tells for each moment of a take, in seconds of its recording, the one at which another take of
 * the same bars has played as far: from beat to beat in proportion; before and behind the bars that
 * both have, as long after the nearest of them. Both have a bar at least.
 */
export function momentBeside(
  here: readonly TakeBar[],
  there: readonly TakeBar[],
): (at: number) => number {
  const pins = pinsOf(here, there);
  return (at) => {
    const next = pins.findIndex((pin) => pin.here > at);
    if (next === 0) return pins[0]!.there + (at - pins[0]!.here);
    const before = pins.at(next < 0 ? -1 : next - 1)!;
    if (next < 0) return before.there + (at - before.here);
    const after = pins[next]!;
    const share = (at - before.here) / Math.max(TOLERANCE, after.here - before.here);
    return before.there + share * (after.there - before.there);
  };
}

/**
 * The values of a waveform, `each` seconds apart, over so many seconds of another take: at each of
 * its moments the loudest of what is played meanwhile. `moment`: seconds of this waveform.
 */
export function peaksBeside(
  peaks: readonly number[],
  each: number,
  seconds: number,
  moment: (at: number) => number,
): number[] {
  const place = (at: number) => Math.max(0, Math.floor(moment(at) / each + TOLERANCE));
  return Array.from({ length: Math.ceil(seconds / each) }, (_, n) => {
    const from = place(n * each);
    return Math.max(0, ...peaks.slice(from, Math.max(from + 1, place((n + 1) * each))));
  });
}
