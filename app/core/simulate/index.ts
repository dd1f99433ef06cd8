export { practiseUntilStable, type Course, type CourseResult } from "./course";
export { Learner, TEACHING, type LearnerTraits, type Teaching } from "./learner";
export { simulateSitting, type Playing, type Sitting } from "./player";
export { seeded, seededUuid, type Random } from "./random";
export { sitThrough, type Sat } from "./at-the-stand";
