import { suggestedState, type PassageState } from "~/core/score";
import type { Day } from "~/core/units";
import type { Passage } from "~/db/queries";
import { wayInto } from "./way-into";

/** What the teacher says of a passage, or else what its record suggests. */
export function stateOf(passage: Passage): PassageState {
  const { stateSet, comfortable, ceiling, ladder, piece } = passage;
  const record = comfortable === null || ceiling === null ? undefined : { comfortable, ceiling };
  return stateSet ?? suggestedState(record, ladder?.target ?? piece.markBpm);
}

/** A passage as lists and ribbons show it. */
export function passageLine(passage: Passage, today: Day) {
  const { ladder, piece } = passage;
  const way = ladder ? wayInto({ ...passage, ladder }, today) : undefined;
  return {
    id: passage.id,
    pieceId: piece.id,
    title: piece.title,
    name: passage.name,
    focus: passage.focus,
    schools: ladder?.phases.map(({ school }) => school.name) ?? [],
    fromBar: passage.fromBar,
    toBar: passage.toBar,
    beatUnit: piece.markUnit,
    state: stateOf(passage),
    stateSet: passage.stateSet,
    comfortable: passage.comfortable,
    ended: passage.ended?.tempo ?? null,
    reached: passage.reachedTempo,
    target: ladder?.target ?? null,
    minutes: ladder?.minutes ?? null,
    start: way?.start ?? null,
    startsAbove: way?.startsAbove ?? null,
    lastDay: passage.lastDay,
  };
}
