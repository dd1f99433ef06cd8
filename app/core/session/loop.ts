import {
  loopSeconds,
  PLAIN_CLICK,
  playingSeconds,
  type ClickProgramme,
  type LoopPlay,
  type LoopRequest,
} from "~/core/click";
import type { Rung, Segment } from "~/core/ladder";
import { nearestPlayable, type Bpm } from "~/core/units";
import { barsWithAround, segmentOf } from "./extent";
import type { Block } from "./plan";
import { currentBlock, nextTempo, rungNow, type StandState } from "./state";

/** What of a block matters for what is heard. */
export type Played = Pick<
  Block,
  "fromBar" | "toBar" | "pickupBeats" | "endBeats" | "beatUnit" | "bars" | "around"
>;

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

/** The tempo of a cycle's fast plays; it moves with a base that is nudged by hand. */
export function fastTempo({ cycle, tempo }: Pick<Rung, "cycle" | "tempo">, base: Bpm): Bpm {
  if (!cycle) return base;
  if (base === tempo) return cycle.fastTempo;
  return nearestPlayable((base * cycle.fastTempo) / tempo);
}

/** The bars to be heard, and the beats of the first one that only lead in. */
function barsOf(block: Played, segment: Segment): Pick<LoopRequest, "bars" | "leadBeats"> {
  const bars = barsWithAround(block).filter(
    ({ number }) => number >= segment.fromBar && number <= segment.toBar,
  );
  const atBeginning = segment.fromBar === block.fromBar && segment.startBeat === 0;
  if (!atBeginning || block.pickupBeats === 0) return { bars, leadBeats: segment.startBeat };
  const { metre, number } = bars[0]!;
  const pickupBar = { number: number - 1, metre };
  return { bars: [pickupBar, ...bars], leadBeats: metre.beats - block.pickupBeats };
}

function request(
  block: Played,
  segment: Segment,
  rung: Pick<Rung, "click">,
  plays: LoopRequest["plays"],
): LoopRequest {
  const atEnd = segment.toBar === block.toBar && segment.endBeats === 0;
  return {
    ...barsOf(block, segment),
    endBeats: atEnd ? block.endBeats : segment.endBeats,
    beatUnit: block.beatUnit,
    plays,
    click: rung.click,
    tempoChanged: false,
    turn: 0,
  };
}

/** The slow finish has a plain click, whatever the rung withdrew. */
const plainly = (click: ClickProgramme): ClickProgramme => ({
  ...click,
  pattern: PLAIN_CLICK.pattern,
  silence: PLAIN_CLICK.silence,
  countIn: { ...click.countIn, inner: false },
});

/** The loop that the stand plays next. `before` is the tempo of the loop heard last. */
export function nextLoop(state: StandState, before: Bpm | undefined): LoopRequest {
  const { plan, state: block } = currentBlock(state);
  const tempo = nextTempo(state);
  const rung = rungNow(block);
  const plays: LoopRequest["plays"] =
    state.endingWell === undefined ? playsOf(rung, tempo) : [{ tempo, pace: "steady" }];
  const played = state.endingWell === undefined ? rung : { click: plainly(rung.click) };
  return {
    ...request(plan, block.segment, played, plays),
    tempoChanged: before !== undefined && before !== tempo,
    turn: state.plays.length,
  };
}

/** The loop of a rung by itself, as the stand would play it. */
export const loopOfRung = (block: Played, rung: Rung): LoopRequest =>
  request(block, segmentOf(block, rung), rung, playsOf(rung, rung.tempo));

/** Seconds of the playing in one loop of a rung. */
export const playingSecondsOfRung = (block: Played, rung: Rung): number =>
  playingSeconds(loopOfRung(block, rung));

/** Seconds of one loop of a rung, count-in and breather included. */
export const secondsOfRung = (block: Played, rung: Rung): number =>
  loopSeconds(loopOfRung(block, rung));
