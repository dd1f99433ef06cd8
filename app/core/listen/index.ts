export { tappedTempo, type TappedTempo } from "./tapped-tempo";
export { timingAgainst, type Timing } from "./timing";
export { findMark, takeMark } from "./mark";
export { clappedDelay, roundTripOf, type Heard } from "./round-trip";
export { barsInTake, takeSchema, type Take, type TakeBar } from "./take";
export { barLines, evenPlaces, placesSchema, type BarPlace } from "./bar-lines";
export { alongPoints, canSoundAlong, type AlongPoint } from "./along";
export { areBeside, momentBeside, peaksBeside } from "./beside";
