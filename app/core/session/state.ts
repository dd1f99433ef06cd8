import type { Verdict } from "~/core/gate";
import type { Rung } from "~/core/ladder";
import type { Bpm } from "~/core/units";
import type { Ending, Flaw } from "./events";
import type { Block, SessionPlan } from "./plan";

/** One play, judged or not. Without a verdict it does not count. */
export interface Play {
  readonly id: string;
  readonly at: number;
  readonly blockIndex: number;
  readonly tempo: Bpm;
  readonly seconds: number;
  readonly fromBar: number;
  readonly toBar: number;
  readonly complete: boolean;
  /** The slow play at the end; recorded, but it opens no gate. */
  readonly endingWell: boolean;
  readonly verdict?: Verdict;
  readonly bar?: number;
  readonly what?: Flaw;
}

/** Where one block stands. */
export interface BlockState {
  readonly rungs: readonly Rung[];
  /** The tempo to play now; off the staircase when nudged by hand. */
  readonly tempo: Bpm;
  readonly fromBar: number;
  readonly toBar: number;
  /** Verdicts since the rung (or its count) began. */
  readonly verdicts: readonly Verdict[];
  readonly flawedOnRung: number;
  /** Tempi whose gate has passed on the whole passage, in order. */
  readonly passed: readonly Bpm[];
  /** The gate of the top rung has passed. */
  readonly toppedOut: boolean;
  readonly activeSeconds: number;
}

/** Everything the stand needs to know; a pure function of the plan and the events. */
export interface StandState {
  readonly plan: SessionPlan;
  readonly blockIndex: number;
  readonly blocks: readonly BlockState[];
  readonly plays: readonly Play[];
  /** The play that waits for its verdict. */
  readonly pending?: string;
  /** The flawed play that may still be told more about. */
  readonly detailable?: string;
  readonly resting?: { readonly since: number; readonly seconds: number };
  readonly endingWell?: Bpm;
  readonly ended?: Ending;
  readonly notes: readonly string[];
  readonly lastAt?: number;
}

export const currentBlock = (state: StandState): { plan: Block; state: BlockState } => ({
  plan: state.plan.blocks[state.blockIndex]!,
  state: state.blocks[state.blockIndex]!,
});

/** The tempo of the play that comes next. */
export const nextTempo = (state: StandState): Bpm =>
  state.endingWell ?? currentBlock(state).state.tempo;

/** Whether so many plays were flawed on this rung that another way should be offered. */
export function offersAnotherWay(state: StandState): boolean {
  const { plan, state: block } = currentBlock(state);
  const busy = state.ended ?? state.resting ?? state.endingWell;
  return busy === undefined && block.flawedOnRung >= plan.ladder.offerAfter;
}

/**
 * The bars within which most flaws of the present rung fell: the shortest range that covers them,
 * widened to two bars so that the join is practised too. Undefined while nobody said where.
 */
export function barsWhereItFailed(
  state: StandState,
): { readonly fromBar: number; readonly toBar: number } | undefined {
  const { plan, state: block } = currentBlock(state);
  const here = state.plays.filter(
    (play) =>
      play.blockIndex === state.blockIndex &&
      play.tempo === block.tempo &&
      play.verdict === "flawed" &&
      play.bar !== undefined,
  );
  if (here.length === 0) return undefined;
  const flawed = here.map((play) => play.bar!);
  const fromBar = Math.min(...flawed);
  const toBar = Math.min(plan.toBar, Math.max(Math.max(...flawed), fromBar + 1));
  const wholePassage = fromBar === block.fromBar && toBar === block.toBar;
  return wholePassage ? undefined : { fromBar, toBar };
}
