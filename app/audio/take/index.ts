export { canRecord, peaksText, TakeRecorder, type Placed } from "./take-recorder";
