export { bestDailyGain } from "./gain";
export { estimate, expectedShare, type Estimate, type RecordedRep, type Span } from "./estimate";
export {
  CEILING_PROBABILITY,
  cleanProbability,
  curveThrough,
  tempoAt,
  type CleanCurve,
} from "./model";
