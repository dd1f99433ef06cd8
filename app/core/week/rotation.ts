import { daysBetween, type Day } from "~/core/units";

/** Major keys round the circle of fifths, from C upwards by fifths. */
export const CIRCLE_OF_FIFTHS = ["C", "G", "D", "A", "E", "B", "F♯", "D♭", "A♭", "E♭", "B♭", "F"];

/**
 * The key of the week on `day`, when the first key belongs to the week that began on `since`; the
 * list goes round. Undefined for an empty list.
 */
export function keyOfWeek(keys: readonly string[], since: Day, day: Day): string | undefined {
  if (keys.length === 0) return undefined;
  const weeks = Math.floor(daysBetween(since, day) / 7);
  return keys[((weeks % keys.length) + keys.length) % keys.length];
}
