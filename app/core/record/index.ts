export { estimate, type Estimate, type RecordedRep, type Span } from "./estimate";
export { cleanProbability, tempoAt, type CleanCurve } from "./model";
