import { partNow, taskNow } from "./parts";
import type { StandState } from "./state";

/** The play that the week has recorded, from 1, and how many lie before it still. */
export interface PlannedTake {
  readonly run: number;
  readonly before: number;
}

/**
 * The play of what is practised now that is to be recorded, if one still is: counted over the whole
 * session, also where a break lies in between. `playing`: one more has begun that is not written yet.
 */
export function plannedTake(state: StandState, playing = false): PlannedTake | undefined {
  if (state.ended || taskNow(state) || state.endingWell !== undefined) return undefined;
  const { said, block } = partNow(state);
  if (!said?.recordRun || block === null) return undefined;
  const { blocks } = state.plan;
  const passageOf = (index: number) => blocks[index]!.passageId;
  const own = state.plays.filter((play) => passageOf(play.blockIndex) === passageOf(block));
  const begun = own.length + (playing ? 1 : 0);
  return begun < said.recordRun
    ? { run: said.recordRun, before: said.recordRun - 1 - begun }
    : undefined;
}
