export { betweenPlays, type Between } from "./between";
export { LOG_KINDS, type LogKind } from "./log-kinds";
export {
  NO_VERDICT_CHOICES,
  planOf,
  stairsOf,
  sessionPlanSchema,
  type Block,
  type RolledBlock,
  rolledBlockSchema,
  type NoVerdict,
  type SessionPlan,
} from "./plan";
export { breatheNow } from "./breathe";
export { whereOf } from "./where";
export {
  FLAWS,
  MEASURE_SOURCES,
  MOST_OFFSETS,
  RATED,
  RATINGS,
  sessionEventSchema,
  type Rated,
  type Rating,
  type Ending,
  type EventKind,
  type Flaw,
  type Payload,
  type SessionEvent,
} from "./events";
export {
  barsWhereItFailed,
  currentBlock,
  layerNow,
  nextTempo,
  offersAnotherWay,
  offersForTension,
  playsAnything,
  rungNow,
  type BlockState,
  type Measured,
  type Play,
  type StandState,
} from "./state";
export { advance, initialState, replay } from "./reducer";
export { lastUndoable } from "./undone";
export { progressNow, redrawnFrom, tempoBelow } from "./block";
export { isReached } from "./passed";
export { standTrying, tryOf, type Try } from "./tried";
export { firmingOffered } from "./firming";
export { barsWithAround, inContext, needsContext, shareOf } from "./extent";
export { heardSegment, type Played } from "./heard-bars";
export { clickNow, fastTempo, loopOf, nextLoop, turnsIn, type Heard } from "./loop";
export { inKey } from "./drone-key";
export { loopOfRung, playLasts, playTimes, secondsOfRung, type PlayTimes } from "./play-times";
export { endWellTempo, summarise, tasksOf, type BlockSummary, type TaskSummary } from "./summary";
export { keptPace, keptPaceSchema, withPace, type KeptPace, type PlayersPace } from "./pace";
export { tonesOf, type Tone, type TrackNote } from "./track-notes";
export {
  MOST_TRACK_PLAYS,
  playsWithin,
  trackLoops,
  wordsBegin,
  trackSeconds,
  type TrackPart,
  type TrackWish,
} from "./track";
export { mergeEvents } from "./merge";
export {
  BLOCK_KINDS,
  endsQuietly,
  isMusic,
  isPlayed,
  isPassageKind,
  SESSION_MINUTES,
  shapeSchema,
  USUAL_SHAPE,
  type BlockKind,
  type MinutesSpan,
  type Shape,
  type ShapeBlock,
} from "./shape";
export type { Candidate, ChosenFor, LeftFor } from "./candidate";
export {
  FEELINGS,
  type BlockReason,
  type Feeling,
  type FittedBlock,
  type FittedSession,
  type LeftOut,
} from "./fitted";
export { mustDoSchema, type MustDo } from "./must-do";
export type { WeekNote } from "./week-note";
export { fitSession, type FitRequest } from "./fit";
export type { AskedTask } from "./wishes";
export { roomForItems } from "./room";
export { longestStretch } from "./stretch";
export { moved, stretched } from "./reshape";
export { isLastPart, partNow, partsOf, taskNow, type Part } from "./parts";
export { plannedTake, type PlannedTake } from "./planned-take";
