/**
 * The versions of the rules by which ladders are unrolled and gates pass. A session keeps those it
 * was opened with, so that what was played never changes; 1 is what there was before plans kept
 * their rungs.
 */
export const RULES = [1, 2] as const;
export type Rules = (typeof RULES)[number];
/** The rules of a session that is opened now. */
export const RULES_NOW = 2 satisfies Rules;
