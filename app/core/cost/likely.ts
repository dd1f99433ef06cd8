import type { Ladder, Rung, Where } from "~/core/ladder";
import type { Played } from "~/core/session";
import { DayClimbs } from "./by-days";
import { exactCost, type Cost } from "./exact";
import { Climbs } from "./monte-carlo";
import type { Random } from "./rung-climb";
import { tollsOf, type CleanAt } from "./toll";
import type { SimulatedCost } from "./totals";

export interface LikelyInputs {
  readonly block: Played & { readonly ladder: Ladder };
  readonly rungs: readonly Rung[];
  readonly cleanAt: CleanAt;
  readonly comfortable: number | undefined;
  readonly from: Pick<Where, "start" | "place" | "ceiling">;
  readonly days: number;
  /** A new stream of numbers, the same each time. */
  readonly random: () => Random;
  readonly runs: number;
}

/** So many plays in a day are hours: whoever gets there hasn't got through. */
const HOPELESS_PLAYS = 600;
/** Of the climbs, before what never gets through is given up. */
const FIRST_SHARE = 0.25;

interface Climbing {
  readonly climb: (times: number) => void;
  readonly told: () => SimulatedCost;
}

/** Some climbs; fewer where none of the first gets through. */
function someClimbs(climbs: Climbing, runs: number): SimulatedCost {
  const first = Math.ceil(runs * FIRST_SHARE);
  climbs.climb(first);
  const told = climbs.told();
  if (told.fits === 0) return told;
  climbs.climb(runs - first);
  return climbs.told();
}

/**
 * What a ladder is likely to cost, quickly: the means by formula where there is one, everything
 * else from some hundred simulated climbs, over as many days as it has.
 */
export function likelyCost(inputs: LikelyInputs): Cost {
  const { block, rungs, cleanAt, days, random, runs } = inputs;
  const { ladder } = block;
  const tolls = tollsOf({ block, rungs, cleanAt });
  const exact = exactCost(tolls, ladder);
  if (days > 1) {
    const climbs = new DayClimbs({ ...inputs, random: random() });
    return { ...exact, ...someClimbs(climbs, runs), rungs: exact.rungs, exact: false };
  }
  const climbs = new Climbs(tolls, ladder, random(), HOPELESS_PLAYS);
  const drawn = someClimbs(
    { climb: (times) => climbs.climb(times), told: () => climbs.told(ladder.minutes) },
    runs,
  );
  const { minutesLow, minutesHigh, fits } = drawn;
  if (exact.exact) return { ...exact, minutesLow, minutesHigh, fits };
  return { ...drawn, rungs: drawn.rungs.map((rung) => ({ ...rung, exact: false })), exact: false };
}
