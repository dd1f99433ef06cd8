import type { Feeling } from "./fitted";

/** Minutes of playing without a break, at most (craft, 8). */
export const MOST_IN_A_ROW = { fresh: 35, tired: 25 } as const;
export const BREAK_MINUTES = 5;

/** How long this player may play on today without a break; a child's limit is shorter. */
export const longestStretch = (feeling: Feeling, limit: number = MOST_IN_A_ROW.fresh): number =>
  Math.min(limit, feeling === "fine" ? MOST_IN_A_ROW.fresh : MOST_IN_A_ROW.tired);

/** Breaks that so many minutes need at least, so that no stretch of playing is longer than `most`. */
export const breaksIn = (minutes: number, most: number): number =>
  Math.max(0, Math.ceil((minutes - most) / (most + BREAK_MINUTES)));
