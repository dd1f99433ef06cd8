import { gateCost, roughPlays } from "~/core/gate";
import type { AfterFlawed } from "~/core/ladder";
import { logNormal } from "./log-normal";
import type { Toll } from "./toll";

export interface RungCost {
  readonly plays: number;
  readonly minutes: number;
  /** By formula; otherwise the figures are rough until they have been simulated. */
  readonly exact: boolean;
}

export interface Cost {
  readonly rungs: readonly RungCost[];
  readonly plays: number;
  readonly minutes: number;
  /** The span that holds the minutes with probability 0.8. */
  readonly minutesLow: number;
  readonly minutesHigh: number;
  /** The chance of getting through in the minutes given. */
  readonly fits: number;
  /** Every rung by formula. */
  readonly exact: boolean;
}

/** What happens after so many flawed plays has no formula; declining costs nothing where all is counted in. */
const hasFormula = ({ then }: Pick<AfterFlawed, "then">, { begin, context }: Toll) =>
  then === "ask" && begin === 0 && (context?.begin ?? 0) === 0;

/** In context: a geometric number of plays. */
const geometric = (clean: number) => {
  const p = Math.max(1e-3, clean);
  return { mean: 1 / p, variance: (1 - p) / (p * p) };
};

interface Moments extends RungCost {
  readonly variance: number;
}

function rungCost(toll: Toll, afterFlawed: Pick<AfterFlawed, "then">): Moments {
  const { clean, seconds, begin, playing, gate, context } = toll;
  const formula = gateCost(gate, clean, playing);
  const rough = roughPlays(gate, clean, playing);
  const own = formula ?? { mean: rough, variance: rough * rough };
  const around = context ? geometric(context.clean) : { mean: 0, variance: 0 };
  const contextSeconds = context?.seconds ?? 0;
  const begins = begin + (context?.begin ?? 0);
  return {
    plays: own.mean + around.mean,
    minutes: (begins + own.mean * seconds + around.mean * contextSeconds) / 60,
    variance: own.variance * seconds ** 2 + around.variance * contextSeconds ** 2,
    exact: formula !== undefined && hasFormula(afterFlawed, toll),
  };
}

/**
 * What climbing the whole ladder costs in one go: the mean plays of each gate × the seconds of a
 * play, rests added; the variances add up, and the sum is taken as log-normal. Learning on the way
 * is left out, so it errs high.
 */
export function exactCost(
  tolls: readonly Toll[],
  { minutes: given, afterFlawed }: { minutes: number; afterFlawed: Pick<AfterFlawed, "then"> },
): Cost {
  const costs = tolls.map((toll) => rungCost(toll, afterFlawed));
  const rests = tolls.slice(0, -1).reduce((sum, { rest }) => sum + rest / 60, 0);
  const minutes = costs.reduce((sum, cost) => sum + cost.minutes, rests);
  const variance = costs.reduce((sum, cost) => sum + cost.variance, 0);
  const { low, high, within } = logNormal(minutes, Math.sqrt(variance) / 60);
  return {
    rungs: costs.map(({ plays, minutes: each, exact }) => ({ plays, minutes: each, exact })),
    plays: costs.reduce((sum, cost) => sum + cost.plays, 0),
    minutes,
    minutesLow: low,
    minutesHigh: high,
    fits: within(given),
    exact: costs.every(({ exact }) => exact),
  };
}
