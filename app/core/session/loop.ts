import type { LoopRequest } from "~/core/click";
import { loopSeconds } from "~/core/click";
import type { Bpm } from "~/core/units";
import type { Block } from "./plan";
import { currentBlock, nextTempo, type StandState } from "./state";

type Played = Pick<
  Block,
  "fromBar" | "toBar" | "pickupBeats" | "endBeats" | "beatUnit" | "ladder"
> & { readonly bars: LoopRequest["bars"] };

function request(
  block: Played,
  range: { fromBar: number; toBar: number },
  tempo: Bpm,
): LoopRequest {
  return {
    bars: block.bars.filter(({ number }) => number >= range.fromBar && number <= range.toBar),
    pickupBeats: range.fromBar === block.fromBar ? block.pickupBeats : 0,
    endBeats: range.toBar === block.toBar ? block.endBeats : 0,
    tempo,
    beatUnit: block.beatUnit,
    countInBars: block.ladder.countInBars,
    subdivision: block.ladder.subdivision,
    tempoChanged: false,
  };
}

/** The loop that the stand plays next. `before` is the tempo of the loop heard last. */
export function nextLoop(state: StandState, before: Bpm | undefined): LoopRequest {
  const { plan, state: block } = currentBlock(state);
  const tempo = nextTempo(state);
  return { ...request(plan, block, tempo), tempoChanged: before !== undefined && before !== tempo };
}

/** Seconds of one loop of a block at a tempo, count-in and breather included. */
export const secondsOfLoop = (block: Played, tempo: Bpm): number =>
  loopSeconds(request(block, block, tempo));
