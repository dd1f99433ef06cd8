export { AFTER_FLAWED, type AfterFlawed } from "./after-flawed";
export { FAMILIES, type Family } from "./families";
export { ladderSchema, type Ladder, type Phase } from "./ladder";
export { ladderAtFull, ladderInPercent, type MovedLadder } from "./full-tempo";
export { percentOf, tempoAt } from "./percent";
export { datedPhase } from "./dated";
export { spanOf, wayOf } from "./span";
export { LADDER_DEFAULTS } from "./defaults";
export {
  fieldsOf,
  initialNumbers,
  natureOf,
  SCHOOL_NAMES,
  type ChosenSchool,
  type SchoolName,
} from "./registry";
export { checkedStaircase, MOST_RUNGS, rungsToday, staircase, unroll } from "./rungs";
export type { Place, Rung, Where } from "./rung";
export { materialOf } from "./material";
export { carriesTasks, ordersFor } from "./phase-tasks";
export type { PhaseTasks, TaskOrder } from "./phase-tasks-schema";
export { RULES_NOW } from "./rules";
export {
  type ChoiceField,
  type ListField,
  type ListItem,
  type NumberField,
  type SchoolField,
  type Task,
} from "./school";
export { withdrawnClick } from "./schools/withdraw";
export { firmingSteps } from "./schools/consolidate";
export { dailyGainNeeded, practiceDaysGone } from "./schools/by-date";
export { segmentLength, type Bar, type Segment } from "./segment";
export { rungsFrom, storedRungs, storedRungSchema } from "./stored-rung";
export { START_RULE_KINDS, todaysStart, type StartRule } from "./start-rule";
export { belowFirst, rungAfter, rungBefore } from "./stepping";
export { wayIn, type Left } from "./way-in";
export { NEAR_LIMIT, onceAfterMany, tooNearTheLimit, type Tally } from "./tallies";
export { whereItFailed, type FailedBars } from "./where-it-failed";
export { forAnother } from "./for-another";
export { whatChanged, type LadderChanged, type Turn } from "./what-changed";
