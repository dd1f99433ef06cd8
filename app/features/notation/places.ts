import type { CSSProperties } from "react";
import type { BarBox } from "~/core/score";
import { TOLERANCE } from "~/core/units";

/** How far a bar's field reaches above and below its staves, in shares of their height. */
const REACH = 0.22;

export const percent = (share: number): string => `${share * 100}%`;

type Box = Pick<BarBox, "left" | "width" | "top" | "height">;

/**
 * Where a bar's field lies: from the ruler of numbers at the system's upper edge to below its
 * staves; `--staves` is how far down in it the staves begin.
 */
export function fieldOf({ left, width, top, height }: Box): CSSProperties {
  const bottom = Math.min(1, top + height * (1 + REACH));
  const staves = Math.max(0, top - REACH * height) / bottom;
  return {
    left: percent(left),
    width: percent(width),
    height: percent(bottom),
    ["--staves" as never]: percent(staves),
  };
}

/**
 * The stretch of a bar between two of its moments, in whole notes from its start: from the note
 * that begins there (or next) to the one that begins at the end, or the bar line.
 */
export function stretchOf(box: BarBox, from: number, to: number): Box {
  const { left, width, onsets } = box;
  const begins = onsets.find(([onset]) => onset >= from)?.[1];
  const ends = onsets.find(([onset]) => onset >= to)?.[1];
  const start = from > 0 && begins !== undefined ? begins - BEFORE_HEAD : left;
  const end = ends === undefined ? left + width : ends - BEFORE_HEAD;
  return { ...box, left: start, width: Math.max(0, end - start) };
}

/**
 * Where a moment of a bar stands in its system: before the note that begins there, between those
 * around it otherwise; of a bar `length` whole notes long whose notes nobody knows, in proportion.
 */
export function momentIn({ left, width, onsets }: BarBox, at: number, length: number): number {
  if (at < TOLERANCE) return left;
  if (at > length - TOLERANCE) return left + width;
  const exact = onsets.find(([onset]) => Math.abs(onset - at) < TOLERANCE);
  if (exact) return exact[1] - BEFORE_HEAD;
  const [from, x] = onsets.findLast(([onset]) => onset < at) ?? [0, left];
  const [to, next] = onsets.find(([onset]) => onset > at) ?? [length, left + width];
  return x + ((next - x) * (at - from)) / (to - from);
}

/** A little before the notehead, in shares of the system's width. */
const BEFORE_HEAD = 0.006;
