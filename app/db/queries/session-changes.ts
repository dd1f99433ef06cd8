import type { Verdict } from "~/core/gate";
import type { BlockSummary, Measured, Play, StandState, TaskSummary } from "~/core/session";
import type { Day } from "~/core/units";

/** What is counted from one session. */
export interface SessionProjection {
  readonly studioId: string;
  readonly sessionId: string;
  readonly personId: string;
  readonly day: Day;
  readonly startedAt: Date;
  readonly lastAt: Date;
  readonly ended: string | undefined;
  readonly notes: readonly string[];
  readonly questions: readonly string[];
  readonly ratings: StandState["ratings"];
  readonly feeling: string | undefined;
  readonly tasks: readonly TaskSummary[];
  readonly blocks: readonly BlockSummary[];
  /** Judged plays with the passage they belong to. */
  readonly reps: readonly CountedRep[];
  /** How plays lay against their beats, judged or not. */
  readonly measures: readonly CountedMeasure[];
}

/** How a play of a passage lay; the same object for as long as it is told the same. */
export interface CountedMeasure extends Measured {
  readonly id: string;
  readonly passageId: string;
}

/** What is kept of a judged play. */
export interface CountedRep extends Readonly<
  Pick<Play, "id" | "at" | "top" | "fromBar" | "toBar" | "share" | "layer" | "key" | "cycle">
> {
  readonly verdict: Verdict;
  readonly passageId: string;
  readonly factor: number | null;
  readonly bar: number | undefined;
  readonly beat: number | undefined;
  readonly what: Play["what"] | undefined;
  readonly fromMemory: boolean | undefined;
}

/** What is counted otherwise than before: only that is written. */
export interface SessionChanges {
  /** With their place, from 1. */
  readonly blocks: readonly (BlockSummary & { readonly position: number })[];
  readonly fewerBlocks: boolean;
  readonly passed: boolean;
  /** Something was told as passed before, and is told otherwise now. */
  readonly oldPassed: boolean;
  /** Judged plays that are new or told otherwise. */
  readonly reps: readonly CountedRep[];
  /** Those that were there and are not, or are told otherwise. */
  readonly oldReps: readonly CountedRep[];
  /** What is measured that was not, or is told otherwise; and what of it was there before. */
  readonly measures: readonly CountedMeasure[];
  readonly oldMeasures: readonly CountedMeasure[];
}

const same = (one: unknown, other: unknown): boolean =>
  Object.is(one, other) || JSON.stringify(one) === JSON.stringify(other);

/** By its values one by one: most of them are the very same, and a session has many plays. */
function sameRep(one: CountedRep, other: CountedRep): boolean {
  if (one === other) return true;
  const names = Object.keys({ ...one, ...other }) as (keyof CountedRep)[];
  return names.every((name) => same(one[name], other[name]));
}

/** How many at the beginning of two lists are the very same. */
function sameUntil(now: readonly unknown[], then: readonly unknown[]): number {
  let count = 0;
  while (count < now.length && count < then.length && now[count] === then[count]) count++;
  return count;
}

/** Of two lists those that are not in the other, told the same. */
function othersOf<T extends { readonly id: string }>(all: readonly T[], before: readonly T[]) {
  const from = sameUntil(all, before);
  const [now, then] = [all.slice(from), before.slice(from)];
  const text = (each: T) => JSON.stringify(each);
  const [here, there] = [new Set(now.map(text)), new Set(then.map(text))];
  return [
    now.filter((each) => !there.has(text(each))),
    then.filter((each) => !here.has(text(each))),
  ] as const;
}

/** What is counted from a session now, less what was `before`; all of it where nothing was. */
export function changesSince(it: SessionProjection, before?: SessionProjection): SessionChanges {
  // A long session goes on where it was: most of its plays are the very same.
  const from = sameUntil(it.reps, before?.reps ?? []);
  const [now, then] = [it.reps.slice(from), before?.reps.slice(from) ?? []];
  const was = new Map(then.map((rep) => [rep.id, rep]));
  const reps = now.filter((rep) => {
    const old = was.get(rep.id);
    return old === undefined || !sameRep(old, rep);
  });
  const kept = new Set(now.map(({ id }) => id));
  for (const { id } of reps) kept.delete(id);
  const passedOf = (of: SessionProjection | undefined) => of?.blocks.map((block) => block.passed);
  const passed = !same(passedOf(it), passedOf(before));
  const [measures, oldMeasures] = othersOf(it.measures, before?.measures ?? []);
  return {
    measures,
    oldMeasures,
    blocks: it.blocks
      .map((block, index) => ({ ...block, position: index + 1 }))
      .filter((_, index) => !same(it.blocks[index], before?.blocks[index])),
    fewerBlocks: (before?.blocks.length ?? 0) > it.blocks.length,
    passed,
    oldPassed: passed && before !== undefined,
    reps,
    oldReps: then.filter(({ id }) => !kept.has(id)),
  };
}

/** Passages that were begun, or of which plays were judged, told otherwise or taken back. */
export function touchedBy(
  { blocks, reps, oldReps }: SessionChanges,
  before?: SessionProjection,
): Set<string> {
  const begun = new Set(before?.blocks.map(({ passageId }) => passageId));
  return new Set([
    ...blocks.map(({ passageId }) => passageId).filter((id) => !begun.has(id)),
    ...[...reps, ...oldReps].map(({ passageId }) => passageId),
  ]);
}
