import { barLength, type BarTempo, type Metre } from "~/core/units";

/** A bar of the passage. */
export interface Bar {
  readonly number: number;
  readonly metre: Metre;
  /** How it goes, where that is not simply the tempo of the passage. */
  readonly tempo?: BarTempo | undefined;
}

/**
 * A part of the passage, down to a beat. `startBeat` beats of the first bar are left out;
 * `endBeats` are played of the last one (0: all). Beats are those of the bar's own metre.
 */
export interface Segment {
  readonly fromBar: number;
  readonly toBar: number;
  readonly startBeat: number;
  readonly endBeats: number;
}

export const LINK_UNITS = ["bar", "beat"] as const;
export type LinkUnit = (typeof LINK_UNITS)[number];

const wholeBar = ({ number }: Bar): Segment => ({
  fromBar: number,
  toBar: number,
  startBeat: 0,
  endBeats: 0,
});

/** From the beginning of one part to the end of another. */
export const joined = (first: Segment, last: Segment): Segment => ({
  fromBar: first.fromBar,
  startBeat: first.startBeat,
  toBar: last.toBar,
  endBeats: last.endBeats,
});

/** Cuts bars into links of so many bars, or of so many beats inside each bar. */
export function cutIntoLinks(bars: readonly Bar[], unit: LinkUnit, size: number): Segment[] {
  if (unit === "bar") {
    const starts = Array.from({ length: Math.ceil(bars.length / size) }, (_, i) => i * size);
    return starts.map((at) =>
      joined(wholeBar(bars[at]!), wholeBar(bars[Math.min(bars.length, at + size) - 1]!)),
    );
  }
  return bars.flatMap(({ number, metre }) =>
    Array.from({ length: Math.ceil(metre.beats / size) }, (_, i): Segment => {
      const end = (i + 1) * size;
      const endBeats = end >= metre.beats ? 0 : end;
      return { fromBar: number, toBar: number, startBeat: i * size, endBeats };
    }),
  );
}

/** Length in whole notes of a part of some bars. */
export function segmentLength(bars: readonly Bar[], segment: Segment): number {
  return bars.reduce((sum, { number, metre }) => {
    if (number < segment.fromBar || number > segment.toBar) return sum;
    const from = number === segment.fromBar ? segment.startBeat : 0;
    const cut = number === segment.toBar && segment.endBeats > 0;
    const to = cut ? segment.endBeats : metre.beats;
    return sum + (barLength(metre) * (to - from)) / metre.beats;
  }, 0);
}
