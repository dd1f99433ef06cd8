export { beats, TOLERANCE, type Beats, type Bpm, type Seconds } from "./brand";
export {
  bpm,
  MOST_CLICKS_A_MINUTE,
  nearestPlayable,
  notesPerSecond,
  secondsPerBar,
  secondsPerBeat,
  tempo,
  TEMPO_LIMITS,
  wholeBpm,
  type TempoRefused,
} from "./tempo";
export { BEAT_UNIT_NAMES, beatUnitValue, convertTempo, type BeatUnit } from "./beat-unit";
export { barTempoSchema, type BarTempo } from "./bar-tempo";
export { soundsFromWritten, TRANSPOSITION_NAMES, type Transposition } from "./transposition";
export { speedAt, timeInBar, timeInto, type Hold, type TempoPiece } from "./tempo-curve";
export { markFrom, METRONOME_MARKS } from "./marks";
export { barLength, formatMetre, metreSchema, parseMetre, type Metre } from "./metre";
export { addDays, dayOf, daysBetween, isTimeZone, momentOf, weekdayOf, type Day } from "./day";
export {
  alterInKey,
  formatKey,
  formatTonic,
  keySchema,
  LETTERS,
  MODES,
  parseKey,
  parseKeys,
  type Key,
} from "./key";
export {
  compare,
  difference,
  fraction,
  larger,
  NOTHING,
  sum,
  valueOf,
  type Fraction,
} from "./fraction";
export { LONGEST_UNBROKEN_MINUTES, MINUTE_MS, stretchesOf } from "./stretches";
