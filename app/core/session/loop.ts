import { PLAIN_CLICK, type ClickProgramme, type LoopPlay, type LoopRequest } from "~/core/click";
import type { Rung, Segment } from "~/core/ladder";
import { nearestPlayable, type Bpm } from "~/core/units";
import { inKey, keyNow } from "./drone-key";
import { heardBars, type Played } from "./heard-bars";
import { currentBlock, nextTempo, rungNow, type BlockState, type StandState } from "./state";

/** The plays of one loop: one, or the slow and the fast ones of a cycle at a (nudged) base. */
export function playsOf({ cycle, tempo }: Rung, base: Bpm): LoopRequest["plays"] {
  if (!cycle) return [{ tempo: base, pace: "steady" }];
  const fast = fastTempo({ cycle, tempo }, base);
  const times = (count: number, play: LoopPlay) =>
    Array.from({ length: count }, () => ({ ...play }));
  return [
    { tempo: base, pace: "slow" },
    ...times(cycle.slow - 1, { tempo: base, pace: "slow" }),
    ...times(cycle.fast, { tempo: fast, pace: "fast" }),
  ];
}

/** How often a short link comes in one play; 1 for whatever fills a bar by itself. */
export const turnsIn = ({ turnsIn: metre, bars }: LoopRequest): number => (metre ? bars.length : 1);

/** The tempo of a cycle's fast plays; it moves with a base that is nudged by hand. */
export function fastTempo({ cycle, tempo }: Pick<Rung, "cycle" | "tempo">, base: Bpm): Bpm {
  if (!cycle) return base;
  if (base === tempo) return cycle.fastTempo;
  return nearestPlayable((base * cycle.fastTempo) / tempo);
}

/** A loop of a stretch of bars that begins out of nothing. */
export const loopOver = (
  block: Played,
  segment: Segment,
  click: ClickProgramme,
  plays: LoopRequest["plays"],
): LoopRequest => ({
  ...heardBars(block, segment),
  beatUnit: block.beatUnit,
  plays,
  click,
  tempoChanged: false,
  first: true,
  turn: 0,
});

/** The slow finish has a plain click, whatever the rung withdrew, and time to breathe. */
const plainly = (click: ClickProgramme): ClickProgramme => ({
  ...click,
  pattern: PLAIN_CLICK.pattern,
  silence: PLAIN_CLICK.silence,
  countIn: { ...click.countIn, inner: false },
  breather: PLAIN_CLICK.breather,
});

/** The click of what is played now, with the count-in and breather that the player has set. */
export const clickNow = (block: BlockState): ClickProgramme => ({
  ...rungNow(block).click,
  ...block.pace,
});

/** A loop that was heard: its tempo, and what it was a play of. */
export interface Heard {
  readonly tempo: Bpm;
  readonly of: string;
}

/** Tells whether two loops are plays of the same. */
export function loopOf(state: StandState): string {
  const { segment, rung } = currentBlock(state).state;
  const { fromBar, toBar, startBeat, endBeats } = segment;
  const what = state.endingWell === undefined ? rung : "end";
  const where = [fromBar, startBeat, toBar, endBeats].join("-");
  return [state.blockIndex, what, nextTempo(state), where].join(" ");
}

/**
 * The loop that the stand plays next. `heard` is the loop heard last; `follows`: it begins where
 * that one ends.
 */
export function nextLoop(
  state: StandState,
  heard: Heard | undefined,
  follows = false,
): LoopRequest {
  const { plan, state: block } = currentBlock(state);
  const tempo = nextTempo(state);
  const endsWell = state.endingWell !== undefined;
  const plays: LoopRequest["plays"] = endsWell
    ? [{ tempo, pace: "steady" }]
    : playsOf(rungNow(block), tempo);
  const click = inKey(clickNow(block), keyNow(state));
  return {
    ...loopOver(plan, block.segment, endsWell ? plainly(click) : click, plays),
    tempoChanged: heard !== undefined && heard.tempo !== tempo,
    first: !follows || heard?.of !== loopOf(state),
    turn: state.plays.length,
  };
}
