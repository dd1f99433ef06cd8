import type { LoopRequest } from "~/core/click";
import type { Segment } from "~/core/ladder";
import { barsWithAround } from "./extent";
import type { Block } from "./plan";
import { turnsOf } from "./turns";

/** What of a block matters for what is heard. */
export type Played = Pick<
  Block,
  | "fromBar"
  | "toBar"
  | "pickupBeats"
  | "startBeats"
  | "endBeats"
  | "order"
  | "beatUnit"
  | "bars"
  | "around"
>;

/**
 * A part of a block as it is heard: what begins where the passage does begins on its first beat,
 * what ends with it ends on its last.
 */
export function heardSegment(block: Played, segment: Segment): Segment {
  const begins = segment.fromBar === block.fromBar && segment.startBeat === 0;
  return {
    ...segment,
    startBeat: begins ? block.startBeats : segment.startBeat,
    endBeats: endOf(block, segment),
  };
}

/** The bars of a block as they are played: with its repeats wherever all of it is. */
function barsPlayed(block: Played, { fromBar, toBar }: Segment): Played["bars"] {
  const { order, bars, around } = block;
  const whole = order.length > 0 && fromBar <= block.fromBar && toBar >= block.toBar;
  const byNumber = new Map(bars.map((bar) => [bar.number, bar]));
  const own = whole ? order.flatMap((number) => byNumber.get(number) ?? []) : bars;
  return barsWithAround({ bars: own, around });
}

/** The bars to be heard, and the beats of the first one that only lead in. */
function barsOf(block: Played, segment: Segment): Pick<LoopRequest, "bars" | "leadBeats"> {
  const bars = barsPlayed(block, segment).filter(
    ({ number }) => number >= segment.fromBar && number <= segment.toBar,
  );
  const pickup = pickupOf(block, segment);
  if (pickup === 0) return { bars, leadBeats: segment.startBeat };
  const { metre, number } = bars[0]!;
  const pickupBar = { number: number - 1, metre };
  return { bars: [pickupBar, ...bars], leadBeats: metre.beats - pickup };
}

/** The pickup belongs to whatever begins where the passage does. */
const pickupOf = (block: Played, { fromBar, startBeat }: Segment): number =>
  fromBar === block.fromBar && startBeat === 0 ? block.pickupBeats : 0;

/** The end of the passage, for what ends with it and doesn't only begin behind it. */
function endOf(block: Played, { fromBar, toBar, startBeat, endBeats }: Segment): number {
  const atEnd = toBar === block.toBar && endBeats === 0;
  const isBehind = fromBar === toBar && startBeat >= block.endBeats;
  return atEnd && !isBehind ? block.endBeats : endBeats;
}

/** What is played of a block: its bars, or a link shorter than a bar in turns. */
export function heardBars(
  block: Played,
  segment: Segment,
): Pick<LoopRequest, "bars" | "leadBeats" | "endBeats" | "turnsIn"> {
  const heard = heardSegment(block, segment);
  // Whole bars are played once, also where the passage ends within its last one; some beats of a
  // bar go round like a link.
  const isLink = heard.startBeat > 0 || segment.endBeats > 0;
  const turns = isLink ? turnsOf(block, heard, pickupOf(block, segment)) : undefined;
  if (turns) return { bars: turns.bars, leadBeats: 0, endBeats: 0, turnsIn: turns.metre };
  return { ...barsOf(block, heard), endBeats: heard.endBeats };
}
