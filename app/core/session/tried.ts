import type { Bpm } from "~/core/units";
import { narrowedTo, segmentOf } from "./extent";
import { currentBlock, rungNow, type StandState } from "./state";

/** What is just tried: at which tempo, and which bars of the passage. */
export interface Try {
  readonly tempo: Bpm;
  readonly fromBar: number;
  readonly toBar: number;
}

/** What would be tried first: what is to be played anyway. */
export function tryOf(state: StandState): Try {
  const { tempo, segment } = currentBlock(state).state;
  return { tempo, fromBar: segment.fromBar, toBar: segment.toBar };
}

/** The stand as it sounds while something is tried; its own count stays where it is. */
export function standTrying(state: StandState, { tempo, fromBar, toBar }: Try): StandState {
  const { plan, state: block } = currentBlock(state);
  const own = segmentOf(plan, rungNow(block));
  const whole = own.fromBar === fromBar && own.toBar === toBar;
  const segment = whole ? own : narrowedTo(fromBar, toBar);
  const tried = { ...block, tempo, segment };
  return { ...state, blocks: state.blocks.with(state.blockIndex, tried) };
}
