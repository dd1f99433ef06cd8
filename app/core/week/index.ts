export { LIBRARY_KINDS, type LibraryKind } from "./library-kinds";
export {
  CHILD_LIMITS,
  minutesInAWeek,
  minutesOn,
  storedTimesSchema,
  timesSchema,
  type DateWithTime,
  type PlayLimits,
  type TimeWindow,
  type WeekTimes,
} from "./availability";
export {
  assignmentSchema,
  BRINGS,
  DECISIONS,
  itemSchema,
  FOCUSES,
  ITEM_KINDS,
  MOST_ITEMS,
  newItem,
  rotationSchema,
  type AssignmentItem,
  type AssignmentText,
  type Bring,
  type Decision,
  type Focus,
  type ItemKind,
  type Often,
} from "./assignment";
export {
  GRADE_PARTS,
  gradeOf,
  gradeRuleSchema,
  USUAL_RULE,
  type Grade,
  type GradePart,
  type GradeRule,
} from "./grade";
export {
  asGiven,
  GROUP_KINDS,
  groupItemSchema,
  itemOfGroup,
  type GroupItem,
  type GroupKind,
} from "./group-item";
export {
  layOutWeek,
  leastMinutes,
  mayRestLong,
  type LaidDay,
  type LayoutDay,
  type LayoutItem,
  type LayoutNote,
  type WeekLayout,
} from "./layout";
export {
  canBeServed,
  GOAL_SPANS,
  goalsNow,
  type GoalSpan,
  type ServedGoal,
  type WordedGoal,
} from "./worded-goals";
export {
  askedBy,
  askedOf,
  doneOn,
  REASONS,
  toKeep,
  type Asked,
  type ItemDays,
  type KeptItem,
  type Reason,
  type WentDay,
  type WentItem,
} from "./item-days";
export { weekChanges, type WeekChange } from "./week-changes";
export { minutesOfDays, minutesOfItem, spentOf, type Spent } from "./spent";
export {
  goalsReached,
  planWeek,
  practisedOf,
  type PlannedWeek,
  type Reached,
  type WeekFacts,
  type WeekToPlan,
} from "./plan-week";
export { studentWeek, type PassageOfWeek } from "./student-week";
export {
  afterChanges,
  itemChanges,
  itemsNow,
  type ItemChanges,
  type ItemFrom,
} from "./item-changes";
export { isDone, type Practised } from "./done";
export { keyOfWeek, rotation, ROTATIONS, turned, type Rotation } from "./rotation";
export { daysOf, LOOK_BACK_DAYS } from "./week-days";
export { previewOf, type Before } from "./preview";
export { asksTooMuch, fitted, FIXES, type Fix } from "./fix";
export {
  MEMORY_UNITS,
  memoryPlanSchema,
  memoryStanding,
  type MemoryPlan,
  type MemoryStanding,
} from "./memorise";
export {
  memoryParts,
  partsStanding,
  standingUnits,
  type MemoryPart,
  type PartStanding,
} from "./memory-parts";
export {
  nestedGoals,
  shareOver,
  smaller,
  STALE_DAYS,
  wasWeak,
  type NestedGoals,
  type WeekDone,
} from "./goals";
export { reviewIn, type ReviewDay } from "./review";
export { nextTest, stretchesOf, type MemoryTest, type StandingBar, type Stretch } from "./by-heart";
export type {
  AskedItem,
  ReviewedItem,
  SheetItem,
  StandsAt,
  StudentWeek,
  TakeAsked,
  TempoTold,
  WeekDay,
  WeekItem,
  Written,
} from "./told";
export { dueDay, isLate, takeState, type HandedInTake } from "./take-state";
export type { GroupItemTold, MemberItem, MemberLine } from "./group-told";
export type { ReportLine } from "./report-told";
export { chanceByHeart } from "./heart-chance";
export { ratingScaleSchema, ratingsOf, type RatingScale } from "./rating";
export { withSimpleTimes, type SimpleTimes } from "./simple-times";
export { listedStudent, type ListColumn } from "./students-list";
export {
  codesOf,
  shorthandSchema,
  spelt,
  typedLine,
  USUAL_SHORTHAND,
  type Shorthand,
} from "./shorthand";
