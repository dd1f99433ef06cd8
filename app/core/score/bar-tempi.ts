import {
  barLength,
  beatUnitValue,
  speedAt,
  TEMPO_LIMITS,
  TOLERANCE,
  type BarTempo,
  type BeatUnit,
  type TempoPiece,
} from "~/core/units";
import type { ResolvedRegion } from "./region-links";
import { metreAt, type MetreRegion } from "./piece";
import { regionAt, type TempoChange } from "./regions";

/** What tells the tempi of a piece: its regions resolved, and what bends them. */
export interface PieceTempi {
  readonly bars: number;
  readonly metres: readonly MetreRegion[];
  readonly regions: readonly ResolvedRegion[];
  readonly changes: readonly TempoChange[];
}

interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** A whole piece in whole notes from bar 1: its speeds in whole notes a minute, and its holds. */
interface Course {
  readonly pieces: TempoPiece[];
  readonly holds: { readonly at: number; readonly longer: number }[];
  readonly silent: Stretch[];
  readonly counted: Stretch[];
  /** Where each bar begins; one more than there are bars. */
  readonly starts: readonly number[];
}

function startsOf({ bars, metres }: PieceTempi): number[] {
  const starts = [0];
  for (let bar = 1; bar <= bars; bar++) {
    starts.push(starts.at(-1)! + barLength(metreAt(metres, bar)));
  }
  return starts;
}

const endOf = (piece: PieceTempi, { toBar }: ResolvedRegion): number =>
  Math.min(toBar ?? piece.bars, piece.bars);

/** Where a change begins, in whole notes from bar 1. */
const onsetOf = (starts: readonly number[], { bar, beat }: TempoChange, unit: BeatUnit): number =>
  starts[bar - 1]! + (beat - 1) * beatUnitValue(unit);

/** Why a change can't be where it is; undefined where it can. */
export function changeRefused(piece: PieceTempi, change: TempoChange): string | undefined {
  const { bar, beat } = change;
  if (bar > piece.bars) return `Bar ${bar} lies beyond the last, ${piece.bars}.`;
  const starts = startsOf(piece);
  const region = regionAt(piece.regions, bar);
  const onset = onsetOf(starts, change, region.unit);
  if (onset >= starts[bar]! - TOLERANCE) return `Bar ${bar} has no beat ${beat}.`;
  if (change.kind !== "gradual") return undefined;
  const last = endOf(piece, region);
  if (onset + change.beats * beatUnitValue(region.unit) > starts[last]! + TOLERANCE) {
    return `From bar ${bar}, beat ${beat}, ${change.beats} beats go beyond bar ${last}, where its tempo ends.`;
  }
  const to = (region.bpm * change.percent) / 100;
  if (to < TEMPO_LIMITS.lowest || to > TEMPO_LIMITS.highest) {
    return `At bar ${bar} it would lead to ${Math.round(to)} bpm, outside ${TEMPO_LIMITS.lowest}–${TEMPO_LIMITS.highest}.`;
  }
  const meets = piece.changes.some((other) => {
    if (other === change || other.kind !== "gradual") return false;
    if (regionAt(piece.regions, other.bar) !== region) return false;
    const begins = onsetOf(starts, other, region.unit);
    return (
      begins >= onset - TOLERANCE && begins < onset + change.beats * beatUnitValue(region.unit)
    );
  });
  return meets ? `At bar ${bar} two changes of tempo overlap.` : undefined;
}

function layRegion(course: Course, piece: PieceTempi, region: ResolvedRegion): void {
  const { starts } = course;
  const unit = beatUnitValue(region.unit);
  const speed = region.bpm * unit;
  const end = starts[endOf(piece, region)]!;
  let [at, now] = [starts[region.fromBar - 1]!, speed];
  const go = (to: number, atTo: number) => {
    if (to > at + TOLERANCE) course.pieces.push({ from: at, to, atFrom: now, atTo });
    [at, now] = [to, atTo];
  };
  const within = piece.changes
    .filter(({ bar }) => regionAt(piece.regions, bar) === region && bar <= piece.bars)
    .map((change) => ({ change, onset: onsetOf(starts, change, region.unit) }))
    .sort((one, other) => one.onset - other.onset);
  for (const { change, onset } of within) {
    if (change.kind === "gradual") {
      go(onset, now);
      const to = onset + change.beats * unit;
      go(to, (now * change.percent) / 100);
      if (change.back) now = speed;
      if (!change.through) silence(course, { from: onset + unit, to });
    } else {
      const longer =
        (change.kind === "fermata" ? Math.max(0, change.beats - 1) : change.beats) * unit;
      course.holds.push({ at: onset + unit, longer });
      if (!change.through) silence(course, { from: onset + TOLERANCE * 2, to: onset + unit });
    }
  }
  go(end, now);
}

/** No click within; then it counts for the length of a bar. */
function silence({ silent, counted, starts }: Course, { from, to }: Stretch): void {
  if (to > from) silent.push({ from, to });
  const bar = starts.findLastIndex((start) => start <= to + TOLERANCE);
  const length = (starts[bar + 1] ?? to) - starts[bar]!;
  counted.push({ from: to, to: to + length });
}

const within = ({ from, to }: Stretch, bar: Stretch): Stretch[] => {
  const part = { from: Math.max(from, bar.from) - bar.from, to: Math.min(to, bar.to) - bar.from };
  return part.to > part.from + TOLERANCE ? [part] : [];
};

function sliced(piece: TempoPiece, bar: Stretch, base: number): TempoPiece[] {
  return within(piece, bar).map(({ from, to }) => ({
    from,
    to,
    atFrom: speedAt(piece, from + bar.from) / base,
    atTo: speedAt(piece, to + bar.from) / base,
  }));
}

/** A point of a piece's line of tempo: bars counted from 0, with what is gone of the bar. */
export interface TempoPoint {
  readonly bar: number;
  /** In bpm of its region's unit. */
  readonly bpm: number;
}

/** The line of tempo of each region, from point to point. */
export function tempoLines(piece: PieceTempi): readonly (readonly TempoPoint[])[] {
  const starts = startsOf(piece);
  const barOf = (at: number): number => {
    const bar = Math.min(
      piece.bars - 1,
      starts.findLastIndex((start) => start <= at + TOLERANCE),
    );
    return bar + (at - starts[bar]!) / (starts[bar + 1]! - starts[bar]!);
  };
  return piece.regions.map((region) => {
    const course: Course = { pieces: [], holds: [], silent: [], counted: [], starts };
    layRegion(course, piece, region);
    const unit = beatUnitValue(region.unit);
    return course.pieces.flatMap(({ from, to, atFrom, atTo }) => [
      { bar: barOf(from), bpm: atFrom / unit },
      { bar: barOf(to), bpm: atTo / unit },
    ]);
  });
}

/**
 * How each bar of a piece goes, as shares of the tempo of the region in which a passage begins.
 * Bars that simply go at that tempo are left out. `steady`: without what bends the time.
 */
export function barTempi(
  piece: PieceTempi,
  fromBar: number,
  steady = false,
): ReadonlyMap<number, BarTempo> {
  const told = steady ? { ...piece, changes: [] } : piece;
  const course: Course = {
    pieces: [],
    holds: [],
    silent: [],
    counted: [],
    starts: startsOf(piece),
  };
  for (const region of told.regions) {
    if (region.fromBar <= told.bars) layRegion(course, told, region);
  }
  const first = regionAt(told.regions, fromBar);
  const base = first.bpm * beatUnitValue(first.unit);
  const tempi = new Map<number, BarTempo>();
  for (let bar = 1; bar <= told.bars; bar++) {
    const stretch = { from: course.starts[bar - 1]!, to: course.starts[bar]! };
    const { unit } = regionAt(told.regions, bar);
    const isHere = ({ at }: { readonly at: number }) =>
      at > stretch.from + TOLERANCE && at <= stretch.to + TOLERANCE;
    const tempo: BarTempo = {
      unit,
      pieces: course.pieces.flatMap((each) => sliced(each, stretch, base)),
      holds: course.holds
        .filter(isHere)
        .map(({ at, longer }) => ({ at: at - stretch.from, longer })),
      silent: course.silent.flatMap((each) => within(each, stretch)),
      counted: course.counted.flatMap((each) => within(each, stretch)),
    };
    if (!isPlain(tempo, first.unit)) tempi.set(bar, tempo);
  }
  return tempi;
}

const isPlain = ({ unit, pieces, holds, silent, counted }: BarTempo, base: BeatUnit): boolean =>
  unit === base &&
  holds.length + silent.length + counted.length === 0 &&
  pieces.every(({ atFrom, atTo }) => Math.abs(atFrom - 1) + Math.abs(atTo - 1) < TOLERANCE);
