export { transport } from "./transport";
export {
  closedTransport,
  soundingStand,
  type Loop,
  type Transport,
  type TransportState,
} from "./state";
export {
  MOST_EVENTS_AT_ONCE,
  type Input,
  type Moment,
  type PlayersInput,
  type Timer,
} from "./input";
export { REST_SECONDS } from "./pace";
export type { Effect } from "./effect";
export { flawedPlay, questionOf, type Question } from "./question";
export { goesByClock, isInTime, isOnlyFinished, openByClock } from "./in-time";
export { possible, TOOLS, type Tool } from "./possible";
export { measuredOf } from "./measured";
