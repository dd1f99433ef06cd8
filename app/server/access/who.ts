import type { Who } from "~/db/queries";

export type { Who };

/** What somebody may do with a student's things. */
export type Right = "see" | "hear" | "practise" | "teach";

/**
 * The one place that says who may do what. A teacher: everything in their room. A student: see
 * hear and practise what is theirs. A parent: see what is their child's, and hear none of it.
 */
export function may(
  who: Who,
  right: Right,
  studioId: string,
  personId: string | undefined,
): boolean {
  if (who.studioId !== studioId) return false;
  if (who.role === "teacher") return true;
  if (right === "teach" || personId === undefined) return false;
  if (who.role === "student") return who.personId === personId;
  return right === "see" && who.looksOn.includes(personId);
}
