import type { PassageFacts, StudentFacts } from "./facts";
import type { LadderChange } from "./ladder-change";

/** Where something else than a ladder is changed. */
export type Place = "times" | "lesson" | "today" | "cut";

/** What a rule saw, by name, and what it offers. */
export interface Found<Saw extends object> {
  readonly saw: Saw;
  readonly changes?: readonly LadderChange[];
  readonly places?: readonly Place[];
}

/** A rule that looks at one passage. */
export interface PassageRule<Saw extends object> {
  readonly of: "passage";
  /** What it saw; undefined where there is nothing to say. */
  readonly looks: (passage: PassageFacts, all: StudentFacts) => Found<Saw> | undefined;
}

/** A rule that looks at all of a student's practice. */
export interface StudentRule<Saw extends object> {
  readonly of: "student";
  readonly looks: (all: StudentFacts) => Found<Saw> | undefined;
}

export const ofPassage = <Saw extends object>(
  looks: PassageRule<Saw>["looks"],
): PassageRule<Saw> => ({ of: "passage", looks });

export const ofStudent = <Saw extends object>(
  looks: StudentRule<Saw>["looks"],
): StudentRule<Saw> => ({ of: "student", looks });
