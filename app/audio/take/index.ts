export { peaksText, TakeRecorder, type Placed } from "./take-recorder";
