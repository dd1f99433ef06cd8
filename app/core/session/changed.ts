import type { Done } from "./done";
import type { BlockState, StandState } from "./state";

/** With another state of the block that is played. */
export const withBlock = (state: StandState, block: BlockState): StandState => ({
  ...state,
  blocks: state.blocks.with(state.blockIndex, block),
});

/** What was done of the block that a play belongs to, with something more. */
export function withDone(state: StandState, index: number, more: (done: Done) => Done): StandState {
  const block = state.blocks[index]!;
  return { ...state, blocks: state.blocks.with(index, { ...block, done: more(block.done) }) };
}

/** Leaves out keys, so that "not there" stays different from "undefined". */
export function without<K extends keyof StandState>(
  state: StandState,
  ...keys: K[]
): Omit<StandState, K> {
  const rest: Partial<StandState> = { ...state };
  for (const key of keys) Reflect.deleteProperty(rest, key);
  return rest as Omit<StandState, K>;
}
