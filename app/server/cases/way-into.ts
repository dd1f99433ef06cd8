import {
  natureOf,
  practiceDaysGone,
  spanOf,
  staircase,
  todaysStart,
  wayOf,
  type Bar,
  type Ladder,
  type Place,
} from "~/core/ladder";
import { barsOf } from "~/core/score";
import { daysBetween, type Bpm, type Day } from "~/core/units";
import type { Passage } from "~/db/queries";

export type WithLadder = Passage & { readonly ladder: Ladder };

export interface PassagePart {
  readonly fromBar: number;
  readonly toBar: number;
  readonly pickupBeats: number;
  readonly endBeats: number;
}

/** The bars that the ladder is for: the passage, or the part of it that it names. */
export function partOf(passage: PassagePart, { part }: Pick<Ladder, "part">): PassagePart {
  const { fromBar, toBar, pickupBeats, endBeats } = passage;
  // A part may be left over from a passage that was cut anew.
  if (!part || part.fromBar < fromBar || part.toBar > toBar || part.toBar < part.fromBar) {
    return { fromBar, toBar, pickupBeats, endBeats };
  }
  return {
    ...part,
    pickupBeats: part.fromBar === fromBar ? pickupBeats : 0,
    endBeats: part.toBar === toBar ? endBeats : 0,
  };
}

/** Where in the row of phases and stages today goes on. */
function placeToday({ ladder, ended }: WithLadder, today: Day): Place {
  const sameWay = ended !== null && ended.way === wayOf(ladder);
  const kept = sameWay ? ended.place : { phase: 0, stage: 0 };
  const { school } = ladder.phases[kept.phase] ?? ladder.phases[0]!;
  if (school.name !== "by-date" || ladder.setOn === null) return kept;
  const gone = practiceDaysGone(school.numbers, daysBetween(ladder.setOn, today));
  return { ...kept, stage: Math.min(gone, school.numbers.days - 1) };
}

/** Today's start and place of a passage with a ladder, by its start rule and its record. */
export function wayInto(
  passage: WithLadder,
  today: Day,
): { readonly start: Bpm; readonly place: Place; readonly bars: readonly Bar[] } {
  const { ladder, ended, comfortable, piece } = passage;
  const place = placeToday(passage, today);
  const bars = barsOf(piece.metres, partOf(passage, ladder));
  const phase = ladder.phases[place.phase]!;
  const span = spanOf(ladder, phase);
  // A school that stays at a tempo has ended at it; only those that rise go on from there.
  const rises = natureOf(phase.school.name).tempo === "rises";
  const start = todaysStart(ladder.startRule, {
    first: span.start,
    target: span.target,
    ended: rises ? (ended?.tempo ?? undefined) : undefined,
    comfortable: comfortable ?? undefined,
    tempi: staircase(ladder, { start: span.start, bars, place }).map(({ tempo }) => tempo),
  });
  return { start, place, bars };
}
