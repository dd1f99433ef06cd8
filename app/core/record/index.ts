export { bestDailyGain } from "./gain";
export { estimate, type Estimate, type RecordedRep, type Span } from "./estimate";
export { CEILING_PROBABILITY, cleanProbability, tempoAt, type CleanCurve } from "./model";
