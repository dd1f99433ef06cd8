import type { Ladder } from "~/core/ladder";
import type { Played } from "~/core/session";

/** Only some bars of a block; null leaves it whole. */
export function partOfBlock(block: Played, part: Ladder["part"]): Played {
  if (!part) return block;
  const { fromBar, toBar } = part;
  const bars = block.bars.filter(({ number }) => number >= fromBar && number <= toBar);
  if (bars.length === 0) return block;
  return {
    ...block,
    fromBar,
    toBar,
    bars,
    order: fromBar === block.fromBar && toBar === block.toBar ? block.order : [],
    pickupBeats: fromBar === block.fromBar ? block.pickupBeats : 0,
    startBeats: fromBar === block.fromBar ? block.startBeats : 0,
    endBeats: toBar === block.toBar ? block.endBeats : 0,
  };
}
