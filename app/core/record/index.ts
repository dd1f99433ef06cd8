export { dailyGain } from "./gain";
export { type RecordedRep } from "./day-plays";
export { advisedStart, estimateOf, type Estimate, type Span } from "./estimate";
export { chanceIn, daysTo, type DaysAhead, type Goal } from "./forecast";
export {
  afterDay,
  daysLater,
  expectedShare,
  firstLevel,
  inKey,
  levelSchema,
  someDaysLater,
  type Level,
} from "./level";
export { ceilingIsMet, mostComfortable, notAbove } from "./told";
export { CEILING_PROBABILITY, cleanProbability, tempoAt, type CleanCurve } from "./model";
export {
  honestTarget,
  outlookOf,
  type Ahead,
  type Change,
  type DatedOutlook,
  type PassageOutlook,
} from "./outlook";
export { chanceTogether, type OneOfMany } from "./together";
