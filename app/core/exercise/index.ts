export {
  DIRECTIONS,
  madeSchema,
  PATTERN_KINDS,
  recipeSchema,
  RHYTHMS,
  type Made,
  type Pattern,
  type Recipe,
  type Rhythm,
  type ScaleRow,
} from "./exercise";
export { compassOf, type Compass } from "./compass";
export { inMode } from "./in-mode";
export { exerciseIn, type ExerciseMusic, type ExerciseNote } from "./music";
export { midiOf, parsePitch, pitchText, type Pitch, type Tonic } from "./pitch";
export { tonesOfExercise } from "./tones";
export { CHORD_NAMES, MAJOR_ROW, SCALE_NAMES } from "./scales";
