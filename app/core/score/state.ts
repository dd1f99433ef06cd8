import type { Bpm } from "~/core/units";

/** How well a passage goes: cannot play yet · nearly · safe. */
export const PASSAGE_STATES = ["raw", "forming", "safe"] as const;
export type PassageState = (typeof PASSAGE_STATES)[number];

/** What the record knows of a passage, as it should be in the end. */
export interface PassageRecord {
  /** Low ends of the spans of comfortable tempo and ceiling after a day of practice. */
  readonly comfortableLow: number;
  readonly ceilingLow: number;
  /** Judged plays in all. */
  readonly plays: number;
  /** Tempi that were passed, with at least one clean play. */
  readonly passedTempi: number;
  /** Days on which the target was passed. */
  readonly daysAtTarget: number;
}

/** What is this little below the target is at it. */
const AT_TARGET = 0.97;
const NEARLY = 0.85;
const DAYS_TO_BE_SAFE = 2;
const PLAYS_TO_BE_FORMING = 8;
const RUNGS_TO_BE_FORMING = 2;

/**
 * The state that the record suggests. Safe: the comfortable tempo is surely at the target less 3 %,
 * and the target was passed on at least two days. Forming: the ceiling is surely within 15 % of it,
 * and at least eight plays or two passed rungs say so. Raw below that or without a record.
 */
export function suggestedState(record: PassageRecord | undefined, target: Bpm): PassageState {
  if (!record) return "raw";
  const { comfortableLow, ceilingLow, plays, passedTempi, daysAtTarget } = record;
  if (comfortableLow >= AT_TARGET * target && daysAtTarget >= DAYS_TO_BE_SAFE) return "safe";
  const known = plays >= PLAYS_TO_BE_FORMING || passedTempi >= RUNGS_TO_BE_FORMING;
  return known && ceilingLow >= NEARLY * target ? "forming" : "raw";
}

/** The better of two states. */
const better = (one: PassageState, other: PassageState): PassageState =>
  PASSAGE_STATES.indexOf(one) > PASSAGE_STATES.indexOf(other) ? one : other;

/** After so many days off nothing holds a state up any more. */
const LONG_OFF = 21;

/**
 * A state moves up at once, but down only when two days of practice in a row say so, or when it was
 * left for three weeks. `lastTwo` are the records after the last two days, the latest first; `now`
 * is the record as of today, `daysOff` the days since the last of them.
 */
export function stateHeld(
  lastTwo: readonly PassageRecord[],
  now: PassageRecord | undefined,
  daysOff: number,
  target: Bpm,
): PassageState {
  if (daysOff >= LONG_OFF) return suggestedState(now, target);
  return lastTwo.map((record) => suggestedState(record, target)).reduce(better, "raw");
}
