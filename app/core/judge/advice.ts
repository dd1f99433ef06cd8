import type { Ladder } from "~/core/ladder";
import type { Day } from "~/core/units";
import { lastDayOf, type StudentFacts } from "./facts";
import { changedLadder, type LadderChange } from "./ladder-change";
import type { Found, PassageRule, Place, StudentRule } from "./rule";
import { afterDaysOff } from "./rules/after-days-off";
import { behindDate } from "./rules/behind-date";
import { cutAround } from "./rules/cut-around";
import { goDown } from "./rules/go-down";
import { largerStep } from "./rules/larger-step";
import { nearLimit } from "./rules/near-limit";
import { noBreak } from "./rules/no-break";
import { nothingMoved } from "./rules/nothing-moved";
import { oneClean } from "./rules/one-clean";
import { ownEar } from "./rules/own-ear";
import { partStands } from "./rules/part-stands";
import { sameCeiling } from "./rules/same-ceiling";
import { smallerStep } from "./rules/smaller-step";
import { targetReached } from "./rules/target-reached";
import { tension } from "./rules/tension";
import { waiting } from "./rules/waiting";
import { weakestBit } from "./rules/weakest-bit";
import { whatNext } from "./rules/what-next";

type AnyRule = PassageRule<object> | StudentRule<object>;

/**
 * Every rule, the most useful first: what spares the body, then the verdicts that all else is
 * reckoned from, then what spares lost days.
 */
export const RULES = {
  tension,
  "no-break": noBreak,
  "own-ear": ownEar,
  "after-days-off": afterDaysOff,
  "go-down": goDown,
  "same-ceiling": sameCeiling,
  "smaller-step": smallerStep,
  "cut-around": cutAround,
  "one-clean": oneClean,
  "near-limit": nearLimit,
  "behind-date": behindDate,
  "part-stands": partStands,
  "weakest-bit": weakestBit,
  "what-next": whatNext,
  "larger-step": largerStep,
  waiting,
  "target-reached": targetReached,
  "nothing-moved": nothingMoved,
} as const satisfies Record<string, AnyRule>;

export type RuleName = keyof typeof RULES;
export const RULE_NAMES = Object.keys(RULES) as [RuleName, ...RuleName[]];

type SawOf<R> = R extends { looks: (...of: never[]) => Found<infer Saw> | undefined } ? Saw : never;

/** One piece of advice: which rule, what it saw, and what it offers. Never acted upon by itself. */
export type Advice = {
  [R in RuleName]: {
    readonly rule: R;
    readonly saw: SawOf<(typeof RULES)[R]>;
    readonly passageId: string | null;
    /** The last day of practice that it looked at. */
    readonly since: Day;
    readonly changes: readonly LadderChange[];
    readonly places: readonly Place[];
  };
}[RuleName];

export const MOST_ADVICE = 3;

/** What stays the same until it was practised again: what was put away is known by it. */
export const adviceKey = ({ rule, passageId, since }: Advice): string =>
  `${rule} ${passageId ?? ""} ${since}`;

function found(
  rule: RuleName,
  { passageId, since }: Pick<Advice, "passageId" | "since">,
  { saw, changes = [], places = [] }: Found<object>,
): Advice {
  return { rule, passageId, since, saw, changes, places } as Advice;
}

/** Whether a change makes another ladder of it: what is so already is not advised. */
function makesAnother(ladder: Ladder, change: LadderChange): boolean {
  const changed = changedLadder(ladder, change);
  return changed !== undefined && JSON.stringify(changed) !== JSON.stringify(ladder);
}

/**
 * All advice for a student, the most useful first: rule by rule, and of each rule what concerns the
 * passages in their order. Changes that would make no ladder are left out, and advice that then
 * offers nothing with them.
 */
export function adviceFor(facts: StudentFacts, off: ReadonlySet<string>): Advice[] {
  const days = facts.passages.map((passage) => lastDayOf(passage).day);
  const lastPractice = days.reduce((one, other) => (one > other ? one : other), "");
  return RULE_NAMES.filter((name) => !off.has(name)).flatMap((name): Advice[] => {
    const rule: AnyRule = RULES[name];
    if (rule.of === "student") {
      const saw = rule.looks(facts);
      return saw ? [found(name, { passageId: null, since: lastPractice }, saw)] : [];
    }
    return facts.passages.flatMap((passage): Advice[] => {
      const saw = rule.looks(passage, facts);
      if (!saw) return [];
      const changes = (saw.changes ?? []).filter((change) => makesAnother(passage.ladder, change));
      if (changes.length === 0 && (saw.places ?? []).length === 0) return [];
      const of = { passageId: passage.id, since: lastDayOf(passage).day };
      return [found(name, of, { ...saw, changes })];
    });
  });
}

/** The few that are shown: at most one for each passage, at most three. */
export function shownAdvice(all: readonly Advice[], dismissed: ReadonlySet<string>): Advice[] {
  const told = new Set<string | null>();
  return all
    .filter((advice) => !dismissed.has(adviceKey(advice)))
    .filter(({ passageId }) => {
      if (passageId !== null && told.has(passageId)) return false;
      told.add(passageId);
      return true;
    })
    .slice(0, MOST_ADVICE);
}
