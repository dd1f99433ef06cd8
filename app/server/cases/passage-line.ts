import { spanOf, type Ladder } from "~/core/ladder";
import { suggestedState, type PassageState } from "~/core/score";
import { nearestPlayable, type Bpm, type Day } from "~/core/units";
import type { Passage } from "~/db/queries";
import { passageTempo } from "./passage-tempo";
import { wayInto } from "./way-into";

/** The highest target of a ladder, its programme included. */
const highestTarget = (ladder: Ladder): Bpm =>
  nearestPlayable(Math.max(...ladder.phases.map((phase) => spanOf(ladder, phase).target)));

/** What the teacher says of a passage, or else what its record suggests. */
export function stateOf(passage: Passage): PassageState {
  const { stateSet, comfortable, ceiling, ladder, plays } = passage;
  if (stateSet) return stateSet;
  const target = ladder ? highestTarget(ladder) : passageTempo(passage).full;
  if (comfortable === null || ceiling === null) return suggestedState(undefined, target);
  const whole = passage.passed.filter((each) => each.whole);
  const atTarget = whole.filter(({ top }) => top >= target).map(({ days }) => days);
  const daysAtTarget = Math.max(0, ...atTarget);
  const passedTempi = whole.length;
  return suggestedState({ comfortable, ceiling, plays, passedTempi, daysAtTarget }, target);
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
    withRepeats: passage.order.length > 0,
    schools: ladder?.phases.map(({ school }) => school.name) ?? [],
    fromBar: passage.fromBar,
    toBar: passage.toBar,
    beatUnit: passage.beatUnit,
    state: stateOf(passage),
    stateSet: passage.stateSet,
    comfortable: passage.comfortable,
    ceiling: passage.ceiling,
    pace: passage.pace,
    ended: passage.ended?.tempo ?? null,
    reached: passage.reachedTempo,
    target: ladder?.target ?? null,
    minutes: ladder?.minutes ?? null,
    start: way?.start ?? null,
    startsAbove: way?.startsAbove ?? null,
    lastDay: passage.lastDay,
    given: passage.given && { changed: passage.given.changed },
  };
}
