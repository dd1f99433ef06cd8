import {
  beatUnitValue,
  convertTempo,
  nearestPlayable,
  type BarTempo,
  type BeatUnit,
  type Bpm,
} from "~/core/units";
import { barTempi, type PieceTempi } from "./bar-tempi";
import type { MetreRegion, PieceShape } from "./piece";
import { resolveRegions, type ResolvedRegion } from "./region-links";
import { MOST_REGIONS, regionAt, type Tempi, type TempoRegion } from "./regions";
import { firstPosition, type Score } from "./score";

/** A piece with the tempi that were set for it, if any were. */
export interface PieceWithTempi extends Omit<PieceShape, "metres"> {
  readonly metres: readonly MetreRegion[];
  readonly tempi: Tempi | null;
}

/** The region that a tempo mark alone makes. */
const marked = ({ markBpm, markUnit }: Pick<PieceShape, "markBpm" | "markUnit">): TempoRegion => ({
  id: "1",
  fromBar: 1,
  unit: markUnit,
  target: { low: markBpm, high: markBpm },
  words: "",
  subdivision: 1,
  link: null,
});

/** The tempi of a piece: as set, or its tempo mark from bar 1 on. */
export const tempiOfPiece = (piece: PieceWithTempi): Tempi =>
  piece.tempi ?? { regions: [marked(piece)], changes: [] };

/** Its regions resolved, those that begin behind its last bar left out. */
export function courseOfPiece(piece: PieceWithTempi): PieceTempi {
  const { bars, metres } = piece;
  const { regions, changes } = tempiOfPiece(piece);
  const resolved = resolveRegions(regions).regions.filter(({ fromBar }) => fromBar <= bars);
  return { bars, metres, regions: resolved, changes };
}

/** The tempi with another opening mark: that of the first region, unless its link gives it. */
export function withMark(
  tempi: Tempi,
  { markBpm, markUnit }: Pick<PieceShape, "markBpm" | "markUnit">,
): Tempi {
  const [first, ...others] = tempi.regions;
  if (!first || first.target === null) return tempi;
  const { low, high } = first.target;
  const holds = first.unit === markUnit && low <= markBpm && markBpm <= high;
  const moved = { ...first, unit: markUnit, target: { low: markBpm, high: markBpm } };
  return holds ? tempi : { ...tempi, regions: [moved, ...others] };
}

/** The opening mark that tempi give their piece. */
export function markOf(tempi: Tempi): Pick<PieceShape, "markUnit"> & { readonly markBpm: Bpm } {
  const [first] = resolveRegions(tempi.regions).regions;
  return { markBpm: nearestPlayable(first!.bpm), markUnit: first!.unit };
}

/** The regions that a score marks with a number; undefined where it marks one at most. */
export function tempiOfScore(score: Score): Tempi | undefined {
  const byBar = new Map<number, TempoRegion>();
  for (const { bar, unit, bpm, words } of score.tempi) {
    const fromBar = Math.max(1, bar);
    if (unit === null || bpm === null || byBar.has(fromBar)) continue;
    byBar.set(fromBar, { ...marked({ markBpm: bpm, markUnit: unit }), id: "", fromBar, words });
  }
  const regions = [...byBar.values()]
    .sort((one, other) => one.fromBar - other.fromBar)
    .slice(0, MOST_REGIONS)
    .map((region, at) => ({
      ...region,
      id: String(at + 1),
      fromBar: at === 0 ? 1 : region.fromBar,
    }));
  const last = firstPosition(score) + score.bars.length - 1;
  const within = regions.filter(({ fromBar }) => fromBar <= last);
  return within.length > 1 ? { regions: within, changes: [] } : undefined;
}

/** What a passage takes from the regions it lies in. */
export interface PassageTempo {
  /** The full tempo where it begins, in the unit in which the passage is told. */
  readonly full: Bpm;
  readonly unit: BeatUnit;
  /** Clicks a beat, as the region in which it begins is practised. */
  readonly subdivision: number;
  /** The regions it reaches into, where they go otherwise: its ladder is in percent then. */
  readonly across: readonly {
    readonly fromBar: number;
    readonly unit: BeatUnit;
    readonly bpm: number;
  }[];
  /** Something in it bends the time. */
  readonly bends: boolean;
}

/** The tempo of some bars of a piece, told in a unit. */
export function tempoOfBars(
  course: PieceTempi,
  { fromBar, toBar }: { readonly fromBar: number; readonly toBar: number },
  unit: BeatUnit,
): PassageTempo {
  const region = regionAt(course.regions, fromBar);
  const touched = course.regions.filter(
    (each) => each.fromBar <= toBar && (each.toBar ?? course.bars) >= fromBar,
  );
  const speed = ({ bpm, unit: own }: ResolvedRegion) => bpm * beatUnitValue(own);
  const differs = touched.some(
    (each) => each.unit !== region.unit || Math.abs(speed(each) - speed(region)) > 1e-6,
  );
  return {
    full: convertTempo(region.bpm as Bpm, region.unit, unit),
    unit,
    subdivision: region.subdivision,
    across: differs
      ? touched.map(({ fromBar, unit: own, bpm }) => ({ fromBar, unit: own, bpm }))
      : [],
    bends: course.changes.some(({ bar }) => bar >= fromBar && bar <= toBar),
  };
}

/** Bars with the tempo at which each goes, where it is not simply that of the passage. */
export function barsWithTempo<B extends { readonly number: number }>(
  course: PieceTempi,
  fromBar: number,
  bars: readonly B[],
  steady: boolean,
): (B & { readonly tempo?: BarTempo })[] {
  const tempi = barTempi(course, fromBar, steady);
  return bars.map((bar) => {
    const tempo = tempi.get(bar.number);
    return tempo ? { ...bar, tempo } : { ...bar };
  });
}
