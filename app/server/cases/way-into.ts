import {
  materialOf,
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

/** The fastest tempo ever passed on a material; undefined where nothing was. */
const fastestPassed = ({ passed }: Pick<Passage, "passed">, material: string): number | undefined =>
  passed.reduce<number | undefined>(
    (most, each) => (each.material === material ? Math.max(most ?? 0, each.tempo) : most),
    undefined,
  );

export interface WayInto {
  readonly start: Bpm;
  readonly place: Place;
  readonly bars: readonly Bar[];
  /** It was practised before. */
  readonly again: boolean;
  /** Tempi that were passed on what today begins with. */
  readonly passedTempi: readonly Bpm[];
  /** The fastest of them, where a planned start lies above it. */
  readonly startsAbove: number | undefined;
}

/** Today's start and place of a passage with a ladder, by its start rule and its record. */
export function wayInto(passage: WithLadder, today: Day): WayInto {
  const { ladder, ended, comfortable, piece } = passage;
  const place = placeToday(passage, today);
  const part = partOf(passage, ladder);
  const bars = barsOf(piece.metres, part);
  const phase = ladder.phases[place.phase]!;
  const span = spanOf(ladder, phase);
  const { tempo: goes, daily: planned = false } = natureOf(phase.school.name);
  const rungs = staircase(ladder, { start: span.start, bars, place });
  // Warm-up rungs are of the whole; what today is practice of is the link that they lead to.
  const link = rungs.find((rung) => rung.phase === place.phase && rung.links);
  const material = materialOf(link ?? rungs[0]!, part);
  const passed = fastestPassed(passage, material);
  const start = todaysStart(ladder.startRule, {
    first: span.start,
    target: span.target,
    // A school that stays at a tempo has ended at it; only those that rise go on from there.
    ended: goes === "rises" ? (ended?.tempo ?? undefined) : undefined,
    comfortable: comfortable ?? undefined,
    passed,
    planned,
    tempi: rungs.filter(({ stage }) => stage === rungs[0]!.stage).map(({ tempo }) => tempo),
  });
  return {
    start,
    place,
    bars,
    again: ended !== null,
    passedTempi: passage.passed.flatMap((each) => (each.material === material ? each.tempo : [])),
    startsAbove: planned && passed !== undefined && start > passed ? passed : undefined,
  };
}
