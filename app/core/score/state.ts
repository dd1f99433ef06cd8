import type { Bpm } from "~/core/units";

/** How well a passage goes: cannot play yet · nearly · safe. */
export const PASSAGE_STATES = ["raw", "forming", "safe"] as const;
export type PassageState = (typeof PASSAGE_STATES)[number];

/** What the record knows of a passage, as it should be in the end. */
export interface PassageRecord {
  readonly comfortable: number;
  readonly ceiling: number;
  /** Judged plays in all. */
  readonly plays: number;
  /** Tempi that were passed, with at least one clean play. */
  readonly passedTempi: number;
  /** Days on which the target was passed. */
  readonly daysAtTarget: number;
}

const NEARLY = 0.85;
const DAYS_TO_BE_SAFE = 2;
const PLAYS_TO_BE_FORMING = 8;
const RUNGS_TO_BE_FORMING = 2;

/**
 * The state that the record suggests. Safe: the comfortable tempo has reached the target, and the
 * target was passed on at least two days. Forming: the ceiling is within 15 % of it, and at least
 * eight plays or two passed rungs say so. Raw below that or without a record. No state rests on one
 * play alone; skipping counts for nothing.
 */
export function suggestedState(record: PassageRecord | undefined, target: Bpm): PassageState {
  if (!record) return "raw";
  const { comfortable, ceiling, plays, passedTempi, daysAtTarget } = record;
  if (comfortable >= target && daysAtTarget >= DAYS_TO_BE_SAFE) return "safe";
  const known = plays >= PLAYS_TO_BE_FORMING || passedTempi >= RUNGS_TO_BE_FORMING;
  return known && ceiling >= NEARLY * target ? "forming" : "raw";
}
