export { ladderCost, type LadderCost, type RungCost } from "./cost";
export { fieldsOf, SCHOOL_NAMES, type ChosenSchool, type SchoolName } from "./registry";
export { START_RULE_KINDS, todaysStart, type StartRule } from "./start-rule";
export {
  ladderSchema,
  rungAbove,
  rungBelow,
  staircase,
  unroll,
  type Ladder,
  type Rung,
} from "./ladder";
