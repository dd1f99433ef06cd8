import { firmingSteps, rungsFrom, storedRungs, type Rung } from "~/core/ladder";
import type { Payload } from "./events";
import type { Block } from "./plan";
import { currentBlock, offersForTension, rungNow, type BlockState, type StandState } from "./state";

/** Whether the ceiling was hit today: slower it was passed, and here it breaks. */
function hitTheCeiling(state: StandState): boolean {
  const { state: block } = currentBlock(state);
  const rung = rungNow(block);
  const passedSlower = block.passed.some(({ tempo }) => tempo < block.tempo);
  return passedSlower && !rung.segment && !rung.cycle && !block.firming && block.extent === "rung";
}

/**
 * The rungs that would make the tempo firm at which it broke: many plays a little below, then at
 * it. None above: nothing faster was reached today. Undefined where the ceiling was not hit, or
 * tension asks for something else.
 */
export function firmingOffered(state: StandState): Payload<"firmed"> | undefined {
  if (!hitTheCeiling(state) || offersForTension(state)) return undefined;
  const { plan, state: block } = currentBlock(state);
  const rung = rungNow(block);
  const rungs = firmingSteps(block.tempo).map((step): Rung => ({
    ...rung,
    top: step.tempo,
    gate: plan.ladder.gate,
    ...step,
  }));
  return { rungs: storedRungs(rungs, plan.ladder) };
}

/** Other rungs from the present one on. */
export function firmed(
  plan: Block,
  block: BlockState,
  { rungs }: Payload<"firmed">,
): readonly Rung[] {
  const before = block.rungs.slice(0, block.rung);
  const after = rungsFrom(rungs, plan.ladder);
  return [...before, ...after.map((rung, i) => ({ ...rung, index: before.length + i }))];
}
