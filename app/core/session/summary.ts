import { wayOf, type Place } from "~/core/ladder";
import { fastTempo } from "./loop";
import { partsOf } from "./parts";
import type { BlockKind } from "./shape";
import { currentBlock, rungNow, type BlockState, type StandState } from "./state";

/** What came of one block; everything that the desk counts is derived from this and the plays. */
export interface BlockSummary {
  readonly passageId: string;
  readonly startTempo: number;
  /** The tempo that would have come next: where it ended. */
  readonly endTempo: number;
  /** The fastest tempo whose gate passed. */
  readonly reachedTempo: number | undefined;
  readonly targetTempo: number;
  readonly plays: number;
  readonly clean: number;
  readonly activeSeconds: number;
  readonly toppedOut: boolean;
  /** The place in the ladder at which it ended, and the way in which that is a place. */
  readonly place: Place;
  readonly way: string;
}

/** The fastest tempo at which the whole passage, as it should be, passed its gate. */
function fastest({ passed, rungs }: BlockState): number | undefined {
  const tempi = passed.flatMap(({ rung: index, tempo }) => {
    const rung = rungs[index]!;
    const whole = rung.share === 1 && (rung.task?.full ?? true);
    return whole ? fastTempo(rung, tempo) : [];
  });
  return tempi.length ? Math.max(...tempi) : undefined;
}

/** A line per block that was begun. */
export function summarise(state: StandState): BlockSummary[] {
  return state.plan.blocks.flatMap((plan, index) => {
    const block = state.blocks[index]!;
    const judged = state.plays.filter((play) => play.blockIndex === index && play.verdict);
    if (judged.length === 0 && block.activeSeconds === 0) return [];
    return [
      {
        passageId: plan.passageId,
        startTempo: plan.start,
        endTempo: block.tempo,
        reachedTempo: fastest(block),
        targetTempo: plan.ladder.target,
        plays: judged.length,
        clean: judged.filter(({ verdict }) => verdict === "clean").length,
        activeSeconds: block.activeSeconds,
        toppedOut: block.toppedOut,
        place: { phase: rungNow(block).phase, stage: rungNow(block).stage },
        way: wayOf(plan.ladder),
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
