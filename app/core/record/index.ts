export { estimate, type Estimate, type RecordedRep, type Span } from "./estimate";
export { cleanProbability, LAPSE, tempoAt, type CleanCurve } from "./model";
