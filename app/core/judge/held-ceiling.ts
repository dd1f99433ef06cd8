import { daysBetween, type Day } from "~/core/units";

/** The same ceiling on so many days of practice asks for another way (craft, 11). */
export const CEILING_DAYS = 4;
const RECENT_DAYS = 10;

/** One day of a passage, oldest first. */
export interface ReachedDay {
  readonly day: Day;
  readonly reached: number | undefined;
}

const best = (days: readonly ReachedDay[]): number =>
  Math.max(0, ...days.map(({ reached }) => reached ?? 0));

/**
 * The tempo that was not passed by on the latest four days of practice, nor on the four before; one
 * rule for the board and for advice. Undefined where it moved, the target is reached, or the days
 * are too few or too long ago.
 */
export function heldCeiling(
  days: readonly ReachedDay[],
  target: number | undefined,
  today: Day,
): number | undefined {
  const last = days.slice(-CEILING_DAYS);
  const before = days.slice(0, -CEILING_DAYS).slice(-CEILING_DAYS);
  const [first] = last;
  if (last.length < CEILING_DAYS || before.length === 0) return undefined;
  if (daysBetween(first!.day, today) > RECENT_DAYS) return undefined;
  const tempo = best(last);
  const done = target !== undefined && tempo >= target;
  return tempo === 0 || done || tempo > best(before) ? undefined : tempo;
}
