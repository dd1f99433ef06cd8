/** A passage that could be played today, with what speaks for and against it. */
export interface Candidate {
  readonly passageId: string;
  readonly state: "raw" | "forming" | "safe";
  /** A scale, drill or étude: it belongs to technique. */
  readonly technique: boolean;
  /** The work that the stage of its piece asks for, where it says so. */
  readonly work?: "learning" | "practising" | "performing" | undefined;
  /** What today's ladder costs, in minutes, by this student's own record. */
  readonly costMinutes: number;
  /** What five minutes would move: tempo gained as a share of the target, 0–1. */
  readonly gain: number;
  /** Days since it was played; undefined when never. */
  readonly daysSince: number | undefined;
  /** Days to the concert, where there is one ahead. */
  readonly daysLeft: number | undefined;
  /** What the week asks of it today; undefined when no week is set. */
  readonly asked:
    { readonly minutes: number } | "done" | "reached" | "not-today" | "not-asked" | undefined;
  /** Only for what is safe: days until its review, 0 or less when it is due. */
  readonly reviewIn: number | undefined;
  /** The player wants it in, whatever speaks against it. */
  readonly wanted?: boolean;
}

/** Why a passage is in a session. */
export type ChosenFor =
  | { readonly why: "asked"; readonly minutes: number }
  | { readonly why: "raw" | "forming" | "wanted" | "more" | "easy-again" }
  | { readonly why: "review"; readonly overdue: number }
  | { readonly why: "gains-most"; readonly gain: number };

/** Why it is not. */
export type LeftFor =
  | { readonly why: "done" | "reached" | "not-today" | "not-asked" }
  | { readonly why: "rest-first" | "easy-again" | "hurts" }
  | { readonly why: "review-later"; readonly days: number }
  | { readonly why: "no-room"; readonly minimum: number; readonly left: number };

/** Half of the urgency is reached two weeks before the concert. */
const URGENT_DAYS = 14;
const STALE_DAYS = 7;

/** What speaks for it, 0–3: the way still to go, the concert, the days it has rested. */
export function weightOf({ state, daysLeft, daysSince, gain }: Candidate): number {
  const way = { raw: 1, forming: 0.6, safe: 0.2 }[state];
  const urgency = daysLeft === undefined ? 0 : URGENT_DAYS / (URGENT_DAYS + Math.max(0, daysLeft));
  const rested = Math.min(1, (daysSince ?? STALE_DAYS) / STALE_DAYS);
  return way + 0.5 * urgency + 0.3 * rested + 0.2 * gain;
}

/** Whether a passage is for today: what the week asks first, else by its state. */
export function forToday({ state, asked, reviewIn, wanted }: Candidate): ChosenFor | LeftFor {
  if (wanted) return { why: "wanted" };
  if (typeof asked === "object") return { why: "asked", minutes: asked.minutes };
  const due = state === "safe" && reviewIn !== undefined && reviewIn <= 0;
  if (due) return { why: "review", overdue: -reviewIn };
  if (asked !== undefined) return { why: asked };
  if (state === "safe") return { why: "review-later", days: reviewIn ?? 1 };
  return { why: state };
}

/** A passage with the reason for which it is in. */
export interface Chosen {
  readonly candidate: Candidate;
  readonly reason: ChosenFor;
}

interface Judged {
  readonly chosen: readonly Chosen[];
  readonly left: readonly { readonly candidate: Candidate; readonly reason: LeftFor }[];
}

const CHOSEN: ReadonlySet<string> = new Set<ChosenFor["why"]>([
  "asked",
  "raw",
  "forming",
  "wanted",
  "review",
]);
const isChosen = (reason: ChosenFor | LeftFor): reason is ChosenFor => CHOSEN.has(reason.why);

/** What is for today, and what is not, each with its reason. */
export function judged(candidates: readonly Candidate[]): Judged {
  const chosen: Chosen[] = [];
  const left: { candidate: Candidate; reason: LeftFor }[] = [];
  for (const candidate of candidates) {
    const reason = forToday(candidate);
    if (isChosen(reason)) chosen.push({ candidate, reason });
    else left.push({ candidate, reason });
  }
  return { chosen, left };
}

const byWay = { raw: 0, forming: 1, safe: 2 } as const;

/**
 * What free time goes to, best first: what can't be played yet, then nearly, then what is safe;
 * what has come to its tempo of the week, and at last what is done for today.
 */
export function furtherBest(candidates: readonly Candidate[]): readonly Candidate[] {
  const turn = ({ asked }: Candidate) =>
    ({ "not-today": 0, reached: 2, done: 3 })[String(asked)] ?? 1;
  return candidates.toSorted(
    (a, b) => turn(a) - turn(b) || byWay[a.state] - byWay[b.state] || weightOf(b) - weightOf(a),
  );
}

/** So many passages come back first when something has hurt. */
const FIRST_BACK = 2;

/** After a stop for pain: what goes most easily, and little of it. */
export function easiest(candidates: readonly Candidate[]): readonly Candidate[] {
  return candidates
    .toSorted((a, b) => byWay[b.state] - byWay[a.state] || a.costMinutes - b.costMinutes)
    .slice(0, FIRST_BACK);
}
