import { spanOf, type Ladder } from "~/core/ladder";
import { estimateOf, firstLevel, type Estimate } from "~/core/record";
import { stateHeld, type PassageState } from "~/core/score";
import { daysBetween, nearestPlayable, type Bpm, type Day } from "~/core/units";
import type { Passage } from "~/db/queries";
import { keyToday, lastDays, standingOf, type Standing } from "./standing";
import { passageTempo } from "./passage-tempo";
import { wayInto } from "./way-into";

/** The highest target of a ladder, its programme included. */
export const highestTarget = (ladder: Ladder): Bpm =>
  nearestPlayable(Math.max(...ladder.phases.map((phase) => spanOf(ladder, phase).target)));

/** What the teacher says of a passage, or else what its record suggests. */
export function stateOf(passage: Passage, today: Day): PassageState {
  const { stateSet, ladder, plays, days } = passage;
  if (stateSet) return stateSet;
  const target = ladder ? highestTarget(ladder) : passageTempo(passage).full;
  const whole = passage.passed.filter((each) => each.whole);
  const atTarget = whole.filter(({ top }) => top >= target).map((each) => each.days);
  const daysAtTarget = Math.max(0, ...atTarget);
  const known = { plays, passedTempi: whole.length, daysAtTarget };
  const record = ({ comfortable, ceiling }: Pick<Standing, "comfortable" | "ceiling">) => ({
    ...known,
    comfortableLow: comfortable.low,
    ceilingLow: ceiling.low,
  });
  const now = standingOf(passage, today, "common");
  const daysOff = days[0] ? daysBetween(days[0].day, today) : 0;
  return stateHeld(lastDays(passage).map(record), now && record(now), daysOff, target);
}

/** What is believed of a passage before anything of it was played. */
const expected = (passage: Passage): Pick<Estimate, "ceiling"> =>
  estimateOf(firstLevel(passageTempo(passage).full, passage.hardness));

const reachable = ({ target }: Ladder, start: number, { ceiling }: Pick<Estimate, "ceiling">) =>
  Math.min(target, Math.max(Math.round(start), Math.floor(ceiling.value)));

/** A passage as lists and ribbons show it. */
export function passageLine(passage: Passage, today: Day) {
  const { ladder, piece } = passage;
  const way = ladder ? wayInto({ ...passage, ladder }, today) : undefined;
  const standing = standingOf(passage, today);
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
    state: stateOf(passage, today),
    /** In which its tempi are told, where this week's keys go round. */
    inKey: keyToday(passage, today) ?? null,
    stateSet: passage.stateSet,
    comfortable: standing?.comfortable.value ?? null,
    ceiling: standing?.ceilingMet ? standing.ceiling.value : null,
    pace: passage.pace,
    ended: passage.ended?.tempo ?? null,
    reached: passage.reached,
    target: ladder?.target ?? null,
    /** What can be reached in a week: up to where it breaks today. */
    inAWeek: ladder && reachable(ladder, way!.start, standing ?? expected(passage)),
    minutes: ladder?.minutes ?? null,
    start: way?.start ?? null,
    startsAbove: way?.startsAbove ?? null,
    lastDay: passage.lastDay,
    given: passage.given && { changed: passage.given.changed },
  };
}
