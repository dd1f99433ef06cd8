import type { Day } from "~/core/units";
import type { Stretch } from "./by-heart";
import type { MemoryPlan } from "./memorise";

/** A line or page of a piece, as its bars. */
export interface MemoryPart {
  readonly fromBar: number;
  readonly toBar: number;
}

/**
 * The lines or pages that a plan counts in, within a piece of so many bars: where it says that they
 * begin, otherwise equally long. None where it counts in bars.
 */
export function memoryParts(plan: MemoryPlan, bars: number): MemoryPart[] {
  if (plan.unit === "bars") return [];
  const count = Math.min(plan.total, bars);
  const even = Array.from({ length: count }, (_, k) => 1 + Math.floor((k * bars) / count));
  const begins = (plan.begins ?? even).filter((bar) => bar <= bars);
  return begins.map((fromBar, at) => ({ fromBar, toBar: (begins[at + 1] ?? bars + 1) - 1 }));
}

/** How many of a plan's bars, lines or pages stand whole when these bars do. */
export function standingUnits(plan: MemoryPlan, standing: readonly number[], bars: number): number {
  if (plan.unit === "bars") return Math.min(plan.total, standing.length);
  const stands = new Set(standing);
  const whole = ({ fromBar, toBar }: MemoryPart) => {
    for (let bar = fromBar; bar <= toBar; bar++) if (!stands.has(bar)) return false;
    return true;
  };
  return memoryParts(plan, bars).filter(whole).length;
}

/** A part, and what of it stands. */
export interface PartStanding extends MemoryPart {
  /** How many of its bars stand. */
  readonly stand: number;
  /** The day since when all of it stands; undefined while some of it does not. */
  readonly since: Day | undefined;
  /** Whether some of it is to be tested. */
  readonly due: boolean;
}

/** What stands of each part, told by the stretches that stand. */
export const partsStanding = (
  parts: readonly MemoryPart[],
  stretches: readonly Stretch[],
): PartStanding[] =>
  parts.map(({ fromBar, toBar }) => {
    const within = stretches.filter((each) => each.fromBar <= toBar && each.toBar >= fromBar);
    const stand = within.reduce(
      (sum, each) => sum + Math.min(toBar, each.toBar) - Math.max(fromBar, each.fromBar) + 1,
      0,
    );
    const latest = within
      .map(({ since }) => since)
      .sort()
      .at(-1);
    return {
      fromBar,
      toBar,
      stand,
      since: stand === toBar - fromBar + 1 ? latest : undefined,
      due: within.some(({ dueIn }) => dueIn <= 0),
    };
  });
