export {
  CHILD_LIMITS,
  minutesOn,
  storedTimesSchema,
  timesSchema,
  weekdayOf,
  windowsOn,
  type DateWithTime,
  type PlayLimits,
  type TimeWindow,
  type WeekTimes,
} from "./availability";
export {
  assignmentSchema,
  BRINGS,
  ITEM_KINDS,
  MOST_ITEMS,
  newItem,
  type AssignmentItem,
  type AssignmentText,
  type Bring,
  type Decision,
  type ItemKind,
  type Often,
  type WeekGoal,
} from "./assignment";
export {
  layOutWeek,
  leastMinutes,
  type LaidDay,
  type LayoutDay,
  type LayoutItem,
  type LayoutNote,
  type WeekLayout,
} from "./layout";
export { asItWent, type WeekAsItWent, type WentDay, type WentItem } from "./as-it-went";
export { isDone, type Practised } from "./done";
export { CIRCLE_OF_FIFTHS, keyOfWeek } from "./rotation";
export {
  MEMORY_UNITS,
  memoryPlanSchema,
  memoryStanding,
  type MemoryPlan,
  type MemoryStanding,
} from "./memorise";
export { nestedGoals, nextGoal, type GoalMove, type NestedGoals, type WeekDone } from "./goals";
export { reviewIn, type ReviewDay } from "./review";
export type { ReviewedItem, SheetItem, StudentWeek, WeekDay, WeekItem } from "./told";
