import { initialNumbers, LADDER_DEFAULTS, natureOf, type Ladder } from "~/core/ladder";
import type { LadderDraft } from "./draft";

const EASY_SHARE = 0.6;
const OFFERED_RULE = { kind: "where-ended-less", steps: 1 } as const;
const AS_SET = { kind: "as-set" } as const;

const ROUND_BELOW = 60;
/** Down to a number that is easily said: fives, twos below 60. */
const rounded = (tempo: number): number => {
  const by = tempo < ROUND_BELOW ? 2 : 5;
  return Math.floor(tempo / by) * by;
};

/** Larger steps first, then fewer clean plays: what a first ladder gives up to fit its minutes. */
const TRIES = [
  ...[5, 8, 10, 15, 20].map((step) => ({ step, plays: 3 })),
  ...[5, 8, 10, 15, 20].map((step) => ({ step, plays: 2 })),
];
/** Then the target for now, and then the bars, with the target again. */
const TARGET_SHARES = [0.9, 0.8];
const BAR_SHARES = [1, 2, 4, 8];
const EVEN_CHANCE = 0.5;

/** Even steps in so many plays in a row; a ladder of a single leap is none. */
function climbing(first: LadderDraft, part: Ladder["part"]): LadderDraft[] {
  const widest = Math.max(5, (first.target - first.start) / 2);
  return TRIES.filter(({ step }) => step <= widest).map(({ step, plays }) => ({
    ...first,
    part,
    phases: first.phases.map((phase) => ({
      ...phase,
      school: { name: "even-steps", numbers: { step } },
    })),
    gate: [{ kind: "in-a-row", plays, afterFlawed: "reset" }],
  }));
}

/** The bars from the first on: all, half, a quarter, an eighth of them. */
function parts({ fromBar, toBar }: NonNullable<Ladder["part"]>): Ladder["part"][] {
  const bars = toBar - fromBar + 1;
  const fewer = BAR_SHARES.map((share) => Math.ceil(bars / share));
  return [...new Set(fewer)].map((count) =>
    count === bars ? null : { fromBar, toBar: fromBar + count - 1 },
  );
}

/**
 * The first ladder that is offered for a passage: in round numbers, and such that it fits its
 * minutes with a chance of at least one half, by larger steps, fewer plays, a lower target or fewer
 * bars, in this order; if none of those tried does, the shortest. `fits` tells the chance of a draft.
 */
export function offeredDraft(
  target: number,
  comfortable: number | null,
  range: NonNullable<Ladder["part"]>,
  fits: (draft: LadderDraft) => number,
): LadderDraft {
  const first = firstDraft(target, comfortable);
  const lower = TARGET_SHARES.map((share) => rounded(target * share));
  const firsts = [first.target, ...lower.filter((each) => each > first.start)].map((each) => ({
    ...first,
    target: each,
  }));
  let shortest = first;
  for (const part of parts(range)) {
    for (const draft of firsts.flatMap((each) => climbing(each, part))) {
      if (fits(draft) >= EVEN_CHANCE) return draft;
      shortest = draft;
    }
  }
  return shortest;
}

/** A first ladder for a passage: even steps, three in a row, from well below the mark. */
export function firstDraft(target: number, comfortable: number | null): LadderDraft {
  const start = Math.max(10, rounded(comfortable ?? target * EASY_SHARE));
  const school = { name: "even-steps", numbers: initialNumbers("even-steps") } as const;
  return {
    ...LADDER_DEFAULTS,
    phases: [{ id: "first", school, start: null, target: null, tasks: null }],
    start: Math.min(start, Math.round(target)),
    target: Math.round(target),
    startRule: OFFERED_RULE,
    gate: [{ kind: "in-a-row", plays: 3, afterFlawed: "reset" }],
    rest: 0,
    minutes: 10,
    hidden: false,
  };
}

/**
 * Another start. Whoever changes the one offered for a new ladder of even steps begins there every
 * day, until another rule is chosen.
 */
export function withStart(draft: LadderDraft, start: number, isNew: boolean): LadderDraft {
  const [phase, ...more] = draft.phases;
  const plain = phase?.school.name === "even-steps" && more.length === 0;
  const startRule = isNew && plain && draft.startRule === OFFERED_RULE ? AS_SET : draft.startRule;
  // A span around the start has no target of its own.
  const centred = draft.phases.every(({ school }) => natureOf(school.name).tempo === "centres");
  return {
    ...draft,
    start,
    target: centred ? Math.max(start, draft.target) : draft.target,
    startRule,
  };
}
