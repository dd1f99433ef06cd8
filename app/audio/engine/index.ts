export { ClickEngine, type MarkerPassed, type Scheduled } from "./click-engine";
export { measureOnsets, type OnsetReport } from "./onsets";
export { recordLive, recordOffline } from "./recording";
