export {
  NO_VERDICT_CHOICES,
  planOf,
  whereOf,
  sessionPlanSchema,
  type Block,
  type NoVerdict,
  type SessionPlan,
} from "./plan";
export {
  FLAWS,
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
  nextTempo,
  offersAnotherWay,
  offersForTension,
  rungNow,
  type BlockState,
  type Play,
  type StandState,
} from "./state";
export { advance, initialState, lastUndoable, replay } from "./reducer";
export { progressNow, redrawnFrom } from "./block";
export { barsWithAround, contextShare } from "./extent";
export {
  fastTempo,
  loopOfRung,
  nextLoop,
  playingSecondsOfRung,
  secondsOfRung,
  type Played,
} from "./loop";
export { endWellTempo, summarise, tasksOf, type BlockSummary, type TaskSummary } from "./summary";
export { mergeEvents } from "./merge";
export {
  BLOCK_KINDS,
  endsQuietly,
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
export { fitSession, type AskedTask, type FitRequest } from "./fit";
export { moved, stretched } from "./reshape";
export { isLastPart, partNow, partsOf, taskNow, type Part } from "./parts";
