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
  type BlockState,
  type Play,
  type StandState,
} from "./state";
export { advance, initialState, lastUndoable, replay } from "./reducer";
export { nextLoop, secondsOfLoop } from "./loop";
export { endWellTempo, summarise, type BlockSummary } from "./summary";
export { mergeEvents } from "./merge";
