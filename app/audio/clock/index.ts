export { outputClock, type AudioClock } from "./audio-clock";
