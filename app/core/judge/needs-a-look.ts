import { daysBetween, type Day } from "~/core/units";
import { CEILING_DAYS, heldCeiling, type ReachedDay } from "./held-ceiling";

export interface PassageTrend {
  readonly title: string;
  readonly fromBar: number;
  readonly toBar: number;
  readonly target: number | undefined;
  readonly days: readonly ReachedDay[];
}

/** Learning by heart that has fallen behind. */
export interface BehindByHeart {
  readonly title: string;
  /** Days behind, above 0. */
  readonly days: number;
}

export interface StudentFacts {
  readonly today: Day;
  readonly lastDay: Day | undefined;
  /** Days since they practised last, or were asked to, on which they were away. */
  readonly daysAway?: number;
  /** Since when a week is set for them. */
  readonly askedSince?: Day | undefined;
  readonly painDay: Day | undefined;
  readonly passages: readonly PassageTrend[];
  /** Questions that wait for an answer. */
  readonly questions: readonly string[];
  /** The latest tight or tired end. */
  readonly felt: { readonly day: Day; readonly feeling: "tight" | "tired" } | undefined;
  readonly behind: readonly BehindByHeart[];
  /** The chance that everything stands at the concert, where it can be told. */
  readonly concert?: number | undefined;
}

/** Why a student needs a look, with the numbers behind it. */
export type Look =
  | { readonly kind: "pain"; readonly day: Day }
  | { readonly kind: "silent"; readonly days: number }
  | {
      readonly kind: "stuck";
      readonly title: string;
      readonly fromBar: number;
      readonly toBar: number;
      readonly tempo: number;
      readonly days: number;
    }
  | { readonly kind: "question"; readonly count: number; readonly first: string }
  | { readonly kind: "felt"; readonly day: Day; readonly feeling: "tight" | "tired" }
  | { readonly kind: "behind"; readonly title: string; readonly days: number }
  | { readonly kind: "concert"; readonly chance: number }
  | { readonly kind: "nothing-yet" };

const SILENT_DAYS = 6;
const PAIN_DAYS = 10;
/** So many days of practice of a passage are looked at: the latest, and as many before them. */
export const TREND_DAYS = 2 * CEILING_DAYS;
const MOST_CEILINGS = 2;
/** A concert that will hardly hold is told. */
const UNLIKELY = 1 / 3;

function stuck(today: Day, { days, ...passage }: PassageTrend): Look | undefined {
  const tempo = heldCeiling(days, passage.target, today);
  return tempo === undefined ? undefined : { kind: "stuck", ...passage, tempo, days: CEILING_DAYS };
}

const FELT_DAYS = 5;

/** What was said and what has fallen behind: told besides anything else. */
function said({ today, questions, felt, behind }: StudentFacts): Look[] {
  const looks: Look[] = [];
  if (questions[0]) {
    looks.push({ kind: "question", count: questions.length, first: questions[0] });
  }
  if (felt && daysBetween(felt.day, today) <= FELT_DAYS) looks.push({ kind: "felt", ...felt });
  return [...looks, ...behind.map((each): Look => ({ kind: "behind", ...each }))];
}

/** What a teacher should look at first: pain, then silence, then what was asked, then a ceiling. */
export function needsALook(facts: StudentFacts): Look[] {
  const { today, lastDay, painDay, passages } = facts;
  const looks: Look[] = [];
  if (painDay && daysBetween(painDay, today) <= PAIN_DAYS) {
    looks.push({ kind: "pain", day: painDay });
  }
  // Whoever was asked for days and has done nothing is not new any more.
  const since = lastDay ?? facts.askedSince;
  const silent = since ? daysBetween(since, today) : 0;
  // Whoever was away owes no word.
  const isSilent = silent - (facts.daysAway ?? 0) >= SILENT_DAYS;
  if (!lastDay && !isSilent) {
    return [...looks, ...said(facts), { kind: "nothing-yet" }];
  }
  // With silence there is something else to talk about than a ceiling.
  if (isSilent) return [...looks, { kind: "silent", days: silent }, ...said(facts)];
  const ceilings = passages.flatMap((passage) => stuck(today, passage) ?? []);
  const { concert } = facts;
  const unlikely = concert !== undefined && concert < UNLIKELY;
  return [
    ...looks,
    ...said(facts),
    ...ceilings.slice(0, MOST_CEILINGS),
    ...(unlikely ? [{ kind: "concert", chance: concert } as const] : []),
  ];
}
