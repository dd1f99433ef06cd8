import { segmentLength, type Rung, type Segment } from "~/core/ladder";
import type { Block } from "./plan";

/** What of a block decides which bars are played. */
export type Extended = Pick<Block, "fromBar" | "toBar" | "bars" | "around"> & {
  readonly ladder: Pick<Block["ladder"], "inContext">;
};

/** The bars of a block and those around them, in reading order. */
export const barsWithAround = ({ bars, around }: Pick<Block, "bars" | "around">) => [
  ...around.before,
  ...bars,
  ...around.after,
];

const bars = (fromBar: number, toBar: number): Segment => ({
  fromBar,
  toBar,
  startBeat: 0,
  endBeats: 0,
});

/** What a rung plays; `endBeats` of the passage belong to its last bar. */
export const segmentOf = (
  block: Pick<Block, "fromBar" | "toBar">,
  rung: Pick<Rung, "segment">,
): Segment => rung.segment ?? bars(block.fromBar, block.toBar);

/** Only some bars of it. */
export const narrowedTo = (fromBar: number, toBar: number): Segment => bars(fromBar, toBar);

/** The whole passage with so many bars before and after it, as far as there are any. */
export function inContext({ fromBar, toBar, around, ladder }: Extended): Segment {
  const count = ladder.inContext.bars;
  const first = around.before.at(-count) ?? around.before[0];
  const last = around.after[count - 1] ?? around.after.at(-1);
  return bars(first?.number ?? fromBar, last?.number ?? toBar);
}

/** Whether a rung has to be played in context before it counts. */
export function needsContext(block: Extended, rungs: readonly Rung[], index: number): boolean {
  const { inContext: rule } = block.ladder;
  const { before, after } = block.around;
  if (rule.bars === 0 || before.length + after.length === 0) return false;
  if (rungs[index]!.share < 1) return false;
  return rule.at === "each-rung" || index === rungs.length - 1;
}

/** How much of the passage a segment is; above 1 in context. */
export const shareOf = (block: Extended, segment: Segment): number =>
  segmentLength(barsWithAround(block), segment) /
  segmentLength(block.bars, bars(block.fromBar, block.toBar));
