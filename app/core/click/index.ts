export { barPulses, patternPulses, VOICES, type Pulse, type Voice } from "./pattern";
export {
  breatherSchema,
  CLICK_PATTERN_KINDS,
  clickProgrammeSchema,
  clicksPerBeat,
  COUNT_IN_BARS,
  countInSchema,
  LONGEST_BREATHER_SECONDS,
  PLAIN_CLICK,
  SILENCE_KINDS,
  type ClickPattern,
  type Breather,
  type ClickProgramme,
  type CountIn,
  type Silence,
} from "./programme";
export { droneHz, droneLevel, PITCHES, soundingPitch, type Drone, type Pitch } from "./drone";
export { gridMap, loopMap, loopSeconds, playingSeconds } from "./beat-map";
export type { BeatMap, LoopPlay, LoopRequest, MapBar, MapClick, MapMarker, Pace } from "./map";
export { clickTicks } from "./ticks";
export {
  ACCENTS,
  CLICK_SOUNDS,
  clickVoiceSchema,
  USUAL_VOICE,
  type Accents,
  type ClickSound,
  type ClickVoice,
} from "./click-sound";
