import { beatUnitValue, TEMPO_LIMITS, TOLERANCE } from "~/core/units";
import { unreachable } from "~/core/result";
import type { RegionLink, TempoRegion } from "./regions";

/** Tempi from low to high, both included, in bpm of a region's own unit. */
export interface TempoSpan {
  readonly low: number;
  readonly high: number;
}

export interface ResolvedRegion extends TempoRegion {
  /** The last bar before the next region; undefined for the last one. */
  readonly toBar: number | undefined;
  /** What its own target and its links leave. */
  readonly allowed: TempoSpan;
  /** The tempo to work towards: within `allowed`, in the middle where nothing says more. */
  readonly bpm: number;
}

/** A region whose tempo and link can't both hold. */
export interface Contradiction {
  readonly region: TempoRegion;
  readonly other: TempoRegion;
  /** What the region asks of the other, by its own tempo. */
  readonly asks: TempoSpan;
  /** What the other has. */
  readonly has: TempoSpan;
  /** The other's nearest tempo that resolves it, and the region's own. */
  readonly nearest: { readonly other: number; readonly region: number };
}

const WIDEST: TempoSpan = { low: TEMPO_LIMITS.lowest, high: TEMPO_LIMITS.highest };

/** A link as a span of ratios: the region's bpm over the other's, each in its own unit. */
function ratioOf(link: RegionLink, region: TempoRegion, other: TempoRegion): TempoSpan {
  const here = beatUnitValue(region.unit);
  const there = beatUnitValue(other.unit);
  const exactly = (ratio: number): TempoSpan => ({ low: ratio, high: ratio });
  switch (link.kind) {
    case "same":
      return exactly(there / here);
    case "note":
      return exactly((there / beatUnitValue(link.was)) * (beatUnitValue(link.unit) / here));
    case "ratio":
      return { low: link.low, high: link.high };
    case "at-most":
      return { low: 0, high: 1 };
    case "at-least":
      return { low: 1, high: Infinity };
    default:
      return unreachable(link);
  }
}

const meet = (one: TempoSpan, other: TempoSpan): TempoSpan => ({
  low: Math.max(one.low, other.low),
  high: Math.min(one.high, other.high),
});
// Spans that touch in what doubles leave over still meet.
const isEmpty = ({ low, high }: TempoSpan): boolean => low > high * (1 + TOLERANCE);
const clamp = ({ low, high }: TempoSpan, value: number): number =>
  Math.min(high, Math.max(low, value));

/** The nearest of a span's tempi: whole where there is a whole one as near as that. */
function nearestIn(span: TempoSpan, value: number): number {
  const [lowest, highest] = [Math.ceil(span.low - TOLERANCE), Math.floor(span.high + TOLERANCE)];
  return lowest > highest ? clamp(span, value) : clamp({ low: lowest, high: highest }, value);
}

/** Regions so that each comes after the one that it follows; its links are free of circles. */
function inOrder(regions: readonly TempoRegion[]): TempoRegion[] {
  const byId = new Map(regions.map((region) => [region.id, region]));
  const ordered = new Set<TempoRegion>();
  const met = new Set<TempoRegion>();
  const put = (region: TempoRegion) => {
    // While tempi are typed they may go round in a circle, which their schema refuses.
    if (met.has(region)) return;
    met.add(region);
    const other = region.link && byId.get(region.link.of);
    if (other) put(other);
    ordered.add(region);
  };
  regions.forEach(put);
  return [...ordered];
}

/**
 * The tempo of each region, and where its links contradict. What a region asks goes up to the one
 * it follows, then tempi come down; as each follows one other at most, that is exact. A link that
 * can't hold is told and left aside.
 */
export function resolveRegions(regions: readonly TempoRegion[]): {
  readonly regions: readonly ResolvedRegion[];
  readonly contradictions: readonly Contradiction[];
} {
  const order = inOrder(regions);
  const byId = new Map(regions.map((region) => [region.id, region]));
  const allowed = new Map(regions.map((region) => [region, region.target ?? WIDEST]));
  const contradictions: Contradiction[] = [];
  const broken = new Set<TempoRegion>();
  for (const region of order.toReversed()) {
    const other = region.link ? byId.get(region.link.of) : undefined;
    if (!region.link || !other) continue;
    const ratio = ratioOf(region.link, region, other);
    const own = allowed.get(region)!;
    const has = allowed.get(other)!;
    const asks = { low: own.low / ratio.high, high: own.high / ratio.low };
    const left = meet(has, asks);
    if (!isEmpty(left)) allowed.set(other, left);
    else {
      broken.add(region);
      const nearest = {
        other: nearestIn(meet(asks, WIDEST), has.low > asks.high ? has.low : has.high),
        region: nearestIn(
          { low: has.low * ratio.low, high: has.high * ratio.high },
          has.low > asks.high ? own.high : own.low,
        ),
      };
      contradictions.push({ region, other, asks, has, nearest });
    }
  }
  const tempi = new Map<TempoRegion, { allowed: TempoSpan; bpm: number }>();
  for (const region of order) {
    const other = region.link && !broken.has(region) ? byId.get(region.link.of) : undefined;
    const own = allowed.get(region)!;
    const ratio = other && ratioOf(region.link!, region, other);
    const from = other && tempi.get(other)!;
    const span =
      ratio && from
        ? meet(own, { low: from.allowed.low * ratio.low, high: from.allowed.high * ratio.high })
        : own;
    // What the other really plays leaves some of it, as what the region asks came up to it before.
    const now =
      ratio && from ? meet(own, { low: from.bpm * ratio.low, high: from.bpm * ratio.high }) : own;
    tempi.set(region, { allowed: span, bpm: middleOf(now) });
  }
  return {
    regions: regions.map((region, at) => ({
      ...region,
      ...tempi.get(region)!,
      toBar: regions[at + 1] && regions[at + 1]!.fromBar - 1,
    })),
    contradictions: contradictions.reverse(),
  };
}

/** The middle of a span, whole where the span holds a whole tempo near it. */
function middleOf(span: TempoSpan): number {
  const [low, high] = [Math.min(span.low, span.high), Math.max(span.low, span.high)];
  const middle = (low + high) / 2;
  const whole = Math.round(middle);
  return whole >= low && whole <= high ? whole : middle;
}
