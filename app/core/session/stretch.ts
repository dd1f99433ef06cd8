import type { Feeling } from "./fitted";

/** Minutes of playing without a break, at most (craft, 8). */
export const MOST_IN_A_ROW = { fresh: 35, tired: 25 } as const;
export const BREAK_MINUTES = 5;

/** How long this player may play on today without a break; a child's limit is shorter. */
export const longestStretch = (feeling: Feeling, limit: number = MOST_IN_A_ROW.fresh): number =>
  Math.min(limit, feeling === "fine" ? MOST_IN_A_ROW.fresh : MOST_IN_A_ROW.tired);

/** From so many breaks on the one in the middle is long enough to leave the room. */
const LONG_DAY_BREAKS = 5;
const LONG_BREAK_MINUTES = 15;

/** Minutes of each of so many breaks. */
export const breakMinutes = (breaks: number): number[] =>
  Array.from({ length: breaks }, (_, n) =>
    breaks >= LONG_DAY_BREAKS && n === Math.floor((breaks - 1) / 2)
      ? LONG_BREAK_MINUTES
      : BREAK_MINUTES,
  );

export const minutesOfBreaks = (breaks: number): number =>
  breakMinutes(breaks).reduce((sum, each) => sum + each, 0);

/** Breaks that so many minutes of playing need at least, so that no stretch is longer than `most`. */
export function breaksIn(minutes: number, most: number): number {
  let breaks = 0;
  while (minutes - minutesOfBreaks(breaks) > most * (breaks + 1)) breaks++;
  return breaks;
}

/** A break comes after so many minutes of playing, or half of what may be played in a row. */
export const leastBefore = (most: number): number => Math.min(10, most / 2);
