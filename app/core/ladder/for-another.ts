import { nearestPlayable } from "~/core/units";
import type { Ladder } from "./ladder";

/** Of the target, for somebody of whom nothing is known yet. */
const USUAL_SHARE = 0.6;
const LEAST_SHARE = 0.3;

/**
 * A ladder for somebody else: the same way to the same target, from where they are comfortable.
 * `shares` are their comfortable tempi as shares of their targets; the middle one counts.
 */
export function forAnother(ladder: Ladder, shares: readonly number[]): Ladder {
  const sorted = shares.toSorted((a, b) => a - b);
  const share = sorted[Math.floor(sorted.length / 2)] ?? USUAL_SHARE;
  const least = ladder.target * LEAST_SHARE;
  const start = Math.min(ladder.target, Math.max(least, ladder.target * share));
  // A way that begins above its target, or on it by intention, keeps its start.
  const goesUp = ladder.start < ladder.target;
  return { ...ladder, start: goesUp ? nearestPlayable(start) : ladder.start };
}
