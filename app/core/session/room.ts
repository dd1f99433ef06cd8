import { isPassageKind, USUAL_SHAPE, type MinutesSpan, type Shape, type ShapeBlock } from "./shape";
import { breaksIn, minutesOfBreaks, MOST_IN_A_ROW } from "./stretch";

/** Up to here there is time for one thing and its slow finish, nothing else. */
export const ONE_THING_MINUTES = 7;
/** From this priority on a block comes only when all before it can be as long as they should be. */
export const NICE_TO_HAVE = 6;
/** A task has its usual length from this many minutes on; in a shorter session it is shorter. */
const FULL_LENGTH_MINUTES = 30;

/** A task's minutes in a session of `total` minutes: its usual length only where there is time. */
export function scaled({ minimum, ideal, maximum }: MinutesSpan, total: number): MinutesSpan {
  const share = Math.min(1, total / FULL_LENGTH_MINUTES);
  return { minimum, ideal: Math.max(minimum, Math.round(ideal * share)), maximum };
}

const goesBeforeAll = ({ kind, always, priority }: ShapeBlock): boolean =>
  !isPassageKind(kind) && kind !== "break" && (always || priority < NICE_TO_HAVE);

/**
 * Minutes that a day of so many minutes has for what is asked: less the breaks and what a session
 * never goes without. A week is laid out over these, so that Today has room for all of it.
 */
export function roomForItems(
  minutes: number,
  shape: Shape = USUAL_SHAPE,
  most: number = MOST_IN_A_ROW.fresh,
): number {
  if (minutes <= 0) return 0;
  if (minutes <= ONE_THING_MINUTES) return minutes - 1;
  const needed = shape.filter(goesBeforeAll);
  const tasks = needed.reduce((sum, { span }) => sum + scaled(span, minutes).ideal, 0);
  return Math.max(0, minutes - minutesOfBreaks(breaksIn(minutes, most)) - tasks);
}
