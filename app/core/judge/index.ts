export {
  needsALook,
  TREND_DAYS,
  type Look,
  type PassageTrend,
  type StudentFacts,
} from "./needs-a-look";
export { worthAMark, type Mark, type PassageAfter } from "./worth-a-mark";
export {
  adviceFor,
  adviceKey,
  RULE_NAMES,
  shownAdvice,
  type Advice,
  type RuleName,
} from "./advice";
export { type Ear, type StudentFacts as AdviceFacts } from "./facts";
export { changedLadder, ladderChangeSchema, type LadderChange } from "./ladder-change";
export { type Place } from "./rule";
export {
  beforeRehearsal,
  toRehearse,
  type BarTally,
  type PlayerRecord,
  type RehearsalBar,
  type RehearsalRun,
} from "./rehearsal";
