import { currentBlock, playsAnything, rungNow, type StandState } from "./state";

/** The word to breathe with, until a rung that is faster than the one before it was played once. */
export function breatheNow(state: StandState): string | undefined {
  if (!playsAnything(state) || state.endingWell !== undefined) return undefined;
  const { blockIndex } = state;
  const { plan, state: block } = currentBlock(state);
  const before = block.rungs[block.rung - 1];
  if (!plan.ladder.breathe || !before || before.tempo >= rungNow(block).tempo) return undefined;
  const begun = state.plays.some(
    (play) => play.blockIndex === blockIndex && play.rung === block.rung,
  );
  return begun ? undefined : plan.ladder.breathe;
}
