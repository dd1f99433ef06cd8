export { barPulses, VOICES, type Pulse, type Voice } from "./pattern";
export {
  CLICK_PATTERN_KINDS,
  clickProgrammeSchema,
  clicksPerBeat,
  PLAIN_CLICK,
  SILENCE_KINDS,
  type ClickPattern,
  type ClickProgramme,
  type Silence,
} from "./programme";
export {
  droneHz,
  PITCHES,
  soundingPitch,
  TRANSPOSITION_NAMES,
  type Drone,
  type Pitch,
  type Transposition,
} from "./drone";
export { gridMap, loopMap, loopSeconds, playingSeconds } from "./beat-map";
export type { BeatMap, LoopPlay, LoopRequest, MapBar, MapClick, MapMarker, Pace } from "./map";
export { clickTicks } from "./ticks";
