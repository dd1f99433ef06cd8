import { segmentLength, type Segment } from "~/core/ladder";
import { barLength, beatUnitValue, TOLERANCE, type BeatUnit, type Metre } from "~/core/units";
import type { Block } from "./plan";

/** A short link is repeated until so many bars of beats are filled. */
const FILLED_BARS = 2;

/**
 * The bars of a turn: the link and one beat to land on, so often that two bars are filled.
 * Undefined for whatever fills a bar by itself. `pickupBeats` belong to a link that they lead into.
 */
export function turnsOf(
  block: Pick<Block, "bars" | "beatUnit">,
  segment: Segment,
  pickupBeats: number,
): { metre: Metre; bars: { number: number; metre: Metre }[] } | undefined {
  const metre = block.bars.find(({ number }) => number === segment.fromBar)?.metre;
  if (!metre) return undefined;
  const link = segmentLength(block.bars, segment) + pickupBeats / metre.unit;
  if (link >= barLength(metre) - TOLERANCE) return undefined;
  const turn = turnMetre(link, metre, block.beatUnit);
  const count = Math.ceil((FILLED_BARS * barLength(metre)) / barLength(turn) - TOLERANCE);
  return {
    metre,
    bars: Array.from({ length: count }, () => ({ number: segment.fromBar, metre: turn })),
  };
}

/**
 * A turn as a bar of its own, its accent where the link begins. It lands on a beat of the tempo
 * mark; where the link doesn't fill such beats, as in unequal metres, on a beat of the metre.
 */
function turnMetre(link: number, { unit, groups }: Metre, beatUnit: BeatUnit): Metre {
  const mark = beatUnitValue(beatUnit);
  const inMarks = Math.abs(link / mark - Math.round(link / mark)) < TOLERANCE;
  const byMark = !groups && inMarks && mark >= 1 / unit;
  const beats = Math.round((link + (byMark ? mark : 1 / unit)) * unit);
  // Each beat of the metre is clicked where the tempo mark's own beats would not meet the link.
  return byMark ? { beats, unit } : { beats, unit, groups: Array.from({ length: beats }, () => 1) };
}
