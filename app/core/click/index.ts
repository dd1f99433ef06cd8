export { barPulses, VOICES, type Pulse, type Voice } from "./pattern";
export {
  gridMap,
  loopMap,
  loopSeconds,
  type BeatMap,
  type LoopRequest,
  type MapBar,
  type MapClick,
  type MapMarker,
} from "./beat-map";
