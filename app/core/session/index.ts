export {
  NO_VERDICT_CHOICES,
  sessionPlanSchema,
  type Block,
  type NoVerdict,
  type SessionPlan,
} from "./plan";
export {
  FLAWS,
  sessionEventSchema,
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
  rungNow,
  type BlockState,
  type Play,
  type StandState,
} from "./state";
export { advance, initialState, lastUndoable, replay } from "./reducer";
export { progressNow } from "./block";
export { barsWithAround, contextShare } from "./extent";
export { loopOfRung, nextLoop, secondsOfRung, type Played } from "./loop";
export { endWellTempo, summarise, type BlockSummary } from "./summary";
export { mergeEvents } from "./merge";
