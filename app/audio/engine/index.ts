export { ClickEngine, type MarkerPassed, type Scheduled } from "./click-engine";
