import type { JudgedPlay, Verdict } from "~/core/gate";
import { whereItFailed, type FailedBars, type Rung, type Segment, type Task } from "~/core/ladder";
import type { Bpm } from "~/core/units";
import type { BetweenKind } from "./between-kinds";
import type { Done } from "./done";
import type { Ending, Flaw, Payload, Rated, Rating } from "./events";
import type { Feeling } from "./fitted";
import type { PlayersPace } from "./pace";
import type { Block, SessionPlan } from "./plan";

/** How a play lay against its beats; an earlier form told the spread alone. */
export interface Measured extends Pick<Payload<"measured">, "source" | "spread"> {
  readonly bias: number | null;
  readonly met: number | null;
  readonly missed: number | null;
  readonly extra: number | null;
}

/** A judged play, as its gate looks at it. */
export interface CountedPlay extends JudgedPlay {
  readonly play: string;
}

/** One play, judged or not. Without a verdict it does not count. */
export interface Play {
  readonly id: string;
  readonly at: number;
  readonly blockIndex: number;
  /** Index of the rung that it was a play of. */
  readonly rung: number;
  readonly tempo: Bpm;
  /** The fastest tempo in it: that of the fast plays of a cycle, else the tempo. */
  readonly top: Bpm;
  /** A cycle is one verdict of so many slow plays at its base tempo and fast ones at its top. */
  readonly cycle: { readonly base: Bpm; readonly slow: number; readonly fast: number } | undefined;
  /** How much of the passage was played; above 1 in context, and where a link came often. */
  readonly share: number;
  /** What was done instead of the whole task, if anything. */
  readonly layer: string | undefined;
  /** The key in which it was played, where the ladder goes through keys. */
  readonly key: string | undefined;
  readonly seconds: number;
  readonly playing?: number | undefined;
  readonly fromBar: number;
  readonly toBar: number;
  readonly complete: boolean;
  /** The slow play at the end; recorded, but it opens no gate. */
  readonly endingWell: boolean;
  readonly measured?: Measured;
  /** Its rung goes on by the clock: a verdict is kept and counts for no gate. */
  readonly byClock?: true;
  /** It counts for nothing: only finished, or just tried. */
  readonly uncounted?: boolean | undefined;
  readonly verdict?: Verdict;
  readonly bar?: number;
  readonly beat?: number;
  readonly what?: Flaw;
  /** Its notes were hidden, and nobody looked. */
  readonly fromMemory?: boolean | undefined;
}

/** Which bars of the rung are played now: its own, fewer of them, or more around them. */
export type Extent = "rung" | "narrowed" | "context";

/** Where one block stands. */
export interface BlockState {
  /** Where it starts today. */
  readonly start: Bpm;
  readonly rungs: readonly Rung[];
  /** Index of the rung that is played now. */
  readonly rung: number;
  /** The tempo to play now; off the staircase when nudged by hand. */
  readonly tempo: Bpm;
  readonly extent: Extent;
  readonly segment: Segment;
  /** Judged plays since the rung (or its count) began. */
  readonly counted: readonly CountedPlay[];
  /** The player has said that it feels easy. */
  readonly easy: boolean;
  readonly flawedOnRung: number;
  /** Plays of this rung at which tension was noted. */
  readonly tense: number;
  /** Rungs whose gate has passed, in order, with the tempo at which it did. */
  readonly passed: readonly { readonly rung: number; readonly tempo: Bpm }[];
  readonly done: Done;
  /** The gate of the last rung has passed. */
  readonly toppedOut: boolean;
  /** Left for today, because so many plays were flawed. */
  readonly left: boolean;
  readonly activeSeconds: number;
  /** Tension was noted at a play of this block. */
  readonly tension: boolean;
  /** The tempo at which it broke today is being made firm. */
  readonly firming: boolean;
  /** Count-in and breather, where the player has set them. */
  readonly pace?: PlayersPace;
}

/** Everything the stand needs to know; a pure function of the plan and the events. */
export interface StandState {
  readonly plan: SessionPlan;
  /** Index of the part that is on now. */
  readonly part: number;
  /** The block that is played now, or was before the task that is on. */
  readonly blockIndex: number;
  /** Seconds given to each task, by its part. */
  readonly taskSeconds: Readonly<Record<number, number>>;
  readonly blocks: readonly BlockState[];
  readonly plays: readonly Play[];
  /** The play that waits for its verdict. */
  readonly pending?: string;
  /** Plays whose verdict was taken back, which are asked about after that one, oldest first. */
  readonly alsoPending?: readonly string[];
  /** The flawed play that may still be told more about. */
  readonly detailable?: string;
  readonly resting?: { readonly since: number; readonly seconds: number };
  readonly endingWell?: Bpm;
  readonly ended?: Ending;
  /** What was advised between plays and answered: after how many plays. */
  readonly advised: Readonly<Partial<Record<BetweenKind, number>>>;
  readonly notes: readonly string[];
  readonly questions: readonly string[];
  readonly ratings: Readonly<Partial<Record<Rating, Rated>>>;
  readonly feeling?: Feeling;
  readonly lastAt?: number;
}

export const currentBlock = (state: StandState): { plan: Block; state: BlockState } => ({
  plan: state.plan.blocks[state.blockIndex]!,
  state: state.blocks[state.blockIndex]!,
});

/** Whether anything is played at all in this session; in one of tasks alone there is no block. */
export const playsAnything = ({ blocks }: StandState): boolean => blocks.length > 0;

/** The rung that is played now. */
export const rungNow = ({ rungs, rung }: BlockState): Rung => rungs[rung]!;

/** What is done in the play that comes next; of tasks that alternate, the one whose turn it is. */
export function layerNow(state: StandState): Task | undefined {
  const { state: block } = currentBlock(state);
  const { task, alternates } = rungNow(block);
  if (!alternates) return task;
  const plays = state.plays.filter(
    ({ blockIndex, rung, endingWell }) =>
      blockIndex === state.blockIndex && rung === block.rung && !endingWell,
  );
  return alternates[plays.length % alternates.length];
}

/** The tempo of the play that comes next. */
export const nextTempo = (state: StandState): Bpm =>
  state.endingWell ?? currentBlock(state).state.tempo;

/** Whether so many plays were flawed on this rung that another way should be offered. */
export function offersAnotherWay(state: StandState): boolean {
  const { plan, state: block } = currentBlock(state);
  const enough = block.flawedOnRung >= plan.ladder.afterFlawed.plays || tooTense(block);
  return canBeOffered(state) && enough;
}

const TENSE_TIMES = 2;

const tooTense = ({ tense }: BlockState): boolean => tense >= TENSE_TIMES;

const canBeOffered = (state: StandState): boolean =>
  (state.ended ?? state.resting ?? state.endingWell) === undefined &&
  !currentBlock(state).state.left;

/** Whether tension was noted so often on this rung that it should go slower, or rest. */
export const offersForTension = (state: StandState): boolean =>
  canBeOffered(state) && tooTense(currentBlock(state).state);

/** Flaws of the present rung at its present tempo that were told with their bar. */
function flawsHere(state: StandState): number[] {
  const { state: block } = currentBlock(state);
  return state.plays.flatMap((play) => {
    const here =
      play.blockIndex === state.blockIndex &&
      play.rung === block.rung &&
      play.tempo === block.tempo &&
      play.verdict === "flawed";
    return here && play.bar !== undefined ? [play.bar] : [];
  });
}

/** Where most flaws of the present rung fell. Undefined while nobody said where. */
export function barsWhereItFailed(state: StandState): FailedBars | undefined {
  const { state: block } = currentBlock(state);
  const flawed = flawsHere(state);
  return whereItFailed(
    flawed.map((bar) => ({ bar, flawed: 1 })),
    block.segment,
  );
}
