import { alterInKey, beatUnitValue, compare, valueOf, type BeatUnit } from "~/core/units";
import type { Score, ScoreNote, ScoreNotes } from "./score";

/** What makes a bar hard, each from 0 (nothing of it) to 1 (as much as is usual to meet). */
export interface BarDifficulty {
  readonly bar: number;
  /** The weighted sum, from 0 to 1. */
  readonly total: number;
  /** Notes or chords struck a second at the tempo of performance. */
  readonly perSecond: number;
  /** The widest step from one note of a voice to the next, in semitones. */
  readonly widestLeap: number;
  /** Notes that the key does not hold. */
  readonly outsideKey: number;
  /** Different lengths of notes. */
  readonly lengths: number;
  /** The hands cross, or move against each other for most of the bar. */
  readonly handsApart: boolean;
}

/** How much each counts, and what is as much as is usual to meet of it. */
const WEIGHTS = { speed: 0.45, leaps: 0.2, outsideKey: 0.15, lengths: 0.1, hands: 0.1 };
const FULL = { perSecond: 9, leap: 16, outsideShare: 0.4, lengths: 5 };
/** A step up to a fourth is no leap. */
const SMALL_STEP = 5;

const isOutside = ({ letter, alter }: ScoreNote, fifths: number): boolean =>
  alter !== alterInKey(letter, fifths);

/** The hardness of each bar of a part, from its notes and the tempo at performance. */
export function difficultyOf(
  score: Score,
  notes: ScoreNotes,
  partIndex: number,
  tempo: { readonly bpm: number; readonly unit: BeatUnit },
): BarDifficulty[] {
  const first = score.pickup ? 0 : 1;
  const last = new Map<string, ScoreNote>();
  const secondsOfWhole = 60 / (tempo.bpm * beatUnitValue(tempo.unit));
  return score.bars.map(({ length, fifths }, index) => {
    const own = (notes[index] ?? []).filter(({ part }) => part === partIndex);
    const struck = own.filter(({ tiedTo, grace }) => !tiedTo && !grace);
    const moments = new Set(struck.map(({ onset }) => onset.join("/")));
    const seconds = valueOf(length) * secondsOfWhole;
    const measured = {
      perSecond: moments.size / seconds,
      widestLeap: widestLeap(struck, last),
      outsideKey: own.filter((note) => isOutside(note, fifths)).length,
      lengths: new Set(struck.map(({ duration }) => duration.join("/"))).size,
      handsApart: handsApart(struck),
    };
    return {
      bar: index + first,
      ...measured,
      total: own.length === 0 ? 0 : totalOf(measured, own.length),
    };
  });
}

/**
 * How hard a passage is among its bars, from 0 to 1: halfway between what is usual in it and its
 * hardest bar, for it breaks there. Null where no bar of it is known.
 */
export function hardnessOf(
  profile: readonly BarDifficulty[],
  { fromBar, toBar }: { readonly fromBar: number; readonly toBar: number },
): number | null {
  const totals = profile
    .filter(({ bar }) => bar >= fromBar && bar <= toBar)
    .map(({ total }) => total);
  if (totals.length === 0) return null;
  const mean = totals.reduce((sum, each) => sum + each, 0) / totals.length;
  return (mean + Math.max(...totals)) / 2;
}

function totalOf(bar: Omit<BarDifficulty, "bar" | "total">, count: number): number {
  const share = (value: number, full: number) => Math.min(1, Math.max(0, value / full));
  return (
    WEIGHTS.speed * share(bar.perSecond, FULL.perSecond) +
    WEIGHTS.leaps * share(bar.widestLeap - SMALL_STEP, FULL.leap - SMALL_STEP) +
    WEIGHTS.outsideKey * share(bar.outsideKey / count, FULL.outsideShare) +
    WEIGHTS.lengths * share(bar.lengths - 1, FULL.lengths - 1) +
    (bar.handsApart ? WEIGHTS.hands : 0)
  );
}

/** Along the upper note of each voice; `last` goes on from bar to bar. */
function widestLeap(struck: readonly ScoreNote[], last: Map<string, ScoreNote>): number {
  let widest = 0;
  for (const note of struck) {
    const voice = `${note.staff} ${note.voice}`;
    const before = last.get(voice);
    const sameMoment = before && compare(before.onset, note.onset) === 0;
    const from = before?.midi ?? null;
    if (from !== null && note.midi !== null && !sameMoment) {
      widest = Math.max(widest, Math.abs(note.midi - from));
    }
    if (!sameMoment || (note.midi ?? 0) > (before?.midi ?? 0)) last.set(voice, note);
  }
  return widest;
}

/** Two staves whose lines cross, or go in contrary directions at half of the moments they share. */
function handsApart(struck: readonly ScoreNote[]): boolean {
  const line = (staff: number) =>
    new Map(
      struck
        .filter((note) => note.staff === staff && note.midi !== null)
        .map((note) => [valueOf(note.onset), note.midi!] as const),
    );
  const [upper, lower] = [line(1), line(2)];
  const shared = [...upper.keys()].filter((onset) => lower.has(onset)).sort((a, b) => a - b);
  if (shared.some((onset) => lower.get(onset)! > upper.get(onset)!)) return true;
  const contrary = shared.slice(1).filter((onset, i) => {
    const before = shared[i]!;
    return (upper.get(onset)! - upper.get(before)!) * (lower.get(onset)! - lower.get(before)!) < 0;
  });
  return shared.length > 2 && contrary.length * 2 >= shared.length - 1;
}
