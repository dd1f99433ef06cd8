/**
 * The rules by which ladders are unrolled and gates pass. A session keeps the number of those that
 * it was opened with, so that what was played never changes.
 */
export const RULES_NOW = 2;
