import { addDays, type Day } from "~/core/units";

/** A passage as a session left it, with what was known before that day. */
export interface PassageAfter {
  readonly title: string;
  readonly target: number;
  /** The fastest tempo passed in the session. */
  readonly reached: number | undefined;
  /** The fastest tempo passed on any earlier day. */
  readonly before: number | undefined;
  readonly plays: number;
  readonly clean: number;
  /** The tempo that the week is for. */
  readonly goal: number | undefined;
  /** It is safe now, and was passed at its target on a second day only today. */
  readonly newlySafe: boolean;
}

/** What deserves to be noticed after a session; each tempo in it was passed, in it or before. */
export type Mark =
  | { readonly kind: "safe"; readonly title: string }
  | { readonly kind: "ceiling"; readonly title: string; readonly from: number; readonly to: number }
  | { readonly kind: "week-goal"; readonly title: string; readonly tempo: number }
  | { readonly kind: "target"; readonly title: string; readonly tempo: number }
  | { readonly kind: "three-quarters"; readonly title: string; readonly tempo: number }
  | { readonly kind: "first-try"; readonly title: string }
  | { readonly kind: "days-in-a-row"; readonly days: number };

/** Three quarters of the tempo, clean, is a goal reached (craft, 2). */
const SMALLER_GOAL = 0.75;
const FEWEST_PLAYS = 3;
const FEWEST_DAYS = 3;

function ofPassage(passage: PassageAfter): Mark | undefined {
  const { title, target, reached, before, goal, plays, clean, newlySafe } = passage;
  if (newlySafe) return { kind: "safe", title };
  if (reached === undefined) return undefined;
  const passes = (tempo: number) => reached >= tempo && (before ?? 0) < tempo;
  if (goal !== undefined && passes(goal)) return { kind: "week-goal", title, tempo: reached };
  if (passes(target)) return { kind: "target", title, tempo: reached };
  if (passes(target * SMALLER_GOAL)) return { kind: "three-quarters", title, tempo: reached };
  if (before !== undefined && reached > before) {
    return { kind: "ceiling", title, from: before, to: reached };
  }
  const atOnce = plays >= FEWEST_PLAYS && clean === plays;
  return atOnce ? { kind: "first-try", title } : undefined;
}

/** Days of practice in a row that end with a day. */
export function daysInARow(practised: ReadonlySet<Day>, day: Day): number {
  let count = 0;
  while (practised.has(addDays(day, -count))) count++;
  return count;
}

/** One mark for a passage at most, and one for days in a row. */
export function worthAMark(
  passages: readonly PassageAfter[],
  practised: ReadonlySet<Day>,
  day: Day,
): Mark[] {
  const marks = passages.flatMap((each) => ofPassage(each) ?? []);
  const days = daysInARow(practised, day);
  return days >= FEWEST_DAYS ? [...marks, { kind: "days-in-a-row", days }] : marks;
}
