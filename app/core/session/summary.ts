import { isByClock } from "~/core/gate";
import { wayOf, type Place, type Rung } from "~/core/ladder";
import { ownPace, type KeptPace } from "./pace";
import { partsOf } from "./parts";
import { passedRungs, type PassedRung } from "./passed";
import type { BlockKind } from "./shape";
import { currentBlock, rungNow, type StandState } from "./state";

/** What came of one block; everything that the desk counts is derived from this and the plays. */
export interface BlockSummary {
  readonly passageId: string;
  /** The bars that its ladder was for, where it was not for all of the passage. */
  readonly part: { readonly fromBar: number; readonly toBar: number } | null;
  readonly startTempo: number;
  /** The tempo that would have come next: where it ended. */
  readonly endTempo: number;
  /** The fastest tempo whose gate passed. */
  readonly reachedTempo: number | undefined;
  readonly targetTempo: number;
  /** From the fastest tempo that was passed to the ladder's next; undefined where there is none. */
  readonly step: number | undefined;
  readonly plays: number;
  readonly clean: number;
  readonly activeSeconds: number;
  readonly toppedOut: boolean;
  /** The fastest tempo to which it went by the clock, where it did. */
  readonly byClock: number | undefined;
  /** The place in the ladder at which it ended, and the way in which that is a place. */
  readonly place: Place;
  readonly way: string;
  /** Count-in and breather as the player wants them, and what the ladder says itself. */
  readonly pace: KeptPace | undefined;
  /** What was passed, with at least one clean play; each material and tempo once; whole: the passage. */
  readonly passed: readonly PassedRung[];
}

/** The fastest tempo at which the whole, as it should be, was passed. */
function fastest(passed: readonly PassedRung[]): number | undefined {
  const tempi = passed.filter(({ whole }) => whole).map(({ top }) => top);
  return tempi.length ? Math.max(...tempi) : undefined;
}

/** From a tempo to the next that the ladder has above it. */
function stepAbove(tempo: number | undefined, rungs: readonly Pick<Rung, "top">[]) {
  if (tempo === undefined) return undefined;
  const above = rungs.map(({ top }) => top).filter((top) => top > tempo);
  return above.length > 0 ? Math.min(...above) - tempo : undefined;
}

/** Each material and tempo once; whole where it ever was. */
function distinct(passed: readonly PassedRung[]): PassedRung[] {
  const known = new Map<string, PassedRung>();
  for (const rung of passed) {
    const key = `${rung.material} ${rung.tempo}`;
    const before = known.get(key);
    const top = Math.max(rung.top, before?.top ?? 0);
    known.set(key, { ...rung, top, whole: rung.whole || (before?.whole ?? false) });
  }
  return [...known.values()];
}

/** A line per block that was begun. */
export function summarise(state: StandState): BlockSummary[] {
  return state.plan.blocks.flatMap((plan, index) => {
    const block = state.blocks[index]!;
    const { done } = block;
    // A block that was looked at and not played is not practice.
    if (!done.begun) return [];
    const passed = passedRungs(state, index);
    const reached = fastest(passed);
    const { fromBar, toBar } = plan;
    const clocked = isByClock(rungNow(block).gate);
    const part = plan.shareOfPassage < 1 ? { fromBar, toBar } : null;
    return [
      {
        passageId: plan.passageId,
        part,
        startTempo: block.start,
        // By the clock nothing is passed: tomorrow begins as if it had not been.
        endTempo: clocked ? block.start : block.tempo,
        reachedTempo: reached,
        targetTempo: plan.ladder.target,
        step: stepAbove(reached, block.rungs),
        plays: done.plays,
        clean: done.clean,
        activeSeconds: block.activeSeconds,
        toppedOut: block.toppedOut && !clocked,
        place: clocked ? plan.place : { phase: rungNow(block).phase, stage: rungNow(block).stage },
        byClock: done.byClock,
        way: wayOf(plan.ladder),
        pace: block.pace && { ...block.pace, instead: ownPace(plan.ladder) },
        passed: distinct(passed).map((each) => ({ ...each, whole: each.whole && !part })),
      },
    ];
  });
}

export interface TaskSummary {
  readonly kind: BlockKind;
  readonly itemId: string | undefined;
  readonly seconds: number;
}

/** What was given to each task, in their order. */
export const tasksOf = ({ plan, taskSeconds }: StandState): TaskSummary[] =>
  partsOf(plan).flatMap(({ kind, block, itemId }, index) => {
    const seconds = taskSeconds[index] ?? 0;
    return block === null && kind !== "break" && seconds > 0 ? { kind, itemId, seconds } : [];
  });

const SLOW_SHARE = 0.7;

/** The tempo of the slow correct finish: seven tenths of what was worked on, at least 10 bpm. */
export function endWellTempo(state: StandState): number {
  return Math.max(10, Math.round(currentBlock(state).state.tempo * SLOW_SHARE));
}
