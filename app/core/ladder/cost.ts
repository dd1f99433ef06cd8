import { gateCost } from "~/core/gate";
import type { Bpm } from "~/core/units";
import type { Ladder, Rung } from "./ladder";

export interface RungCost {
  readonly rung: Rung;
  readonly clean: number;
  readonly plays: number;
  readonly minutes: number;
}

export interface LadderCost {
  readonly rungs: readonly RungCost[];
  readonly plays: number;
  readonly minutes: number;
  /** The span that holds the minutes with probability 0.8. */
  readonly minutesLow: number;
  readonly minutesHigh: number;
  /** The chance of getting through within the ladder's minutes. */
  readonly fits: number;
}

export interface CostInputs {
  readonly ladder: Pick<Ladder, "gate" | "rest" | "minutes">;
  readonly rungs: readonly Rung[];
  /** P(clean) at a tempo, from the record or the prior. */
  readonly cleanAt: (tempo: Bpm) => number;
  /** Seconds of one loop at a tempo: count-in, bars, breather. */
  readonly loopSeconds: (tempo: Bpm) => number;
}

const TEN_TO_NINETY_SD = 1.2816;

/** Standard normal distribution function, Abramowitz & Stegun 26.2.17 (error below 7.5e-8). */
function normalBelow(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const poly =
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const tail = (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * poly;
  return z >= 0 ? 1 - tail : tail;
}

/**
 * The minutes as a log-normal with the given mean and s.d.: gates that go wrong go very wrong, so
 * the sum is skewed to the right and never below nothing, which a normal would not be.
 */
function spread(mean: number, sd: number) {
  const sigma = Math.sqrt(Math.log(1 + (sd / mean) ** 2));
  const mu = Math.log(mean) - sigma ** 2 / 2;
  return {
    low: Math.exp(mu - TEN_TO_NINETY_SD * sigma),
    high: Math.exp(mu + TEN_TO_NINETY_SD * sigma),
    within: (minutes: number) =>
      sigma === 0 ? Number(mean <= minutes) : normalBelow((Math.log(minutes) - mu) / sigma),
  };
}

/**
 * What climbing the whole ladder costs this student in one go: per rung E = the gate's mean plays
 * × the seconds of a loop, variances added. Learning on the way is left out, so it errs high.
 */
export function ladderCost({ ladder, rungs, cleanAt, loopSeconds }: CostInputs): LadderCost {
  let variance = 0;
  const costs = rungs.map((rung) => {
    const clean = cleanAt(rung.tempo);
    const seconds = loopSeconds(rung.tempo);
    const gate = gateCost(ladder.gate, clean);
    variance += gate.variance * seconds * seconds;
    return { rung, clean, plays: gate.mean, minutes: (gate.mean * seconds) / 60 };
  });
  const rests = (ladder.rest * Math.max(0, rungs.length - 1)) / 60;
  const minutes = costs.reduce((sum, cost) => sum + cost.minutes, rests);
  const { low, high, within } = spread(minutes, Math.sqrt(variance) / 60);
  return {
    rungs: costs,
    plays: costs.reduce((sum, cost) => sum + cost.plays, 0),
    minutes,
    minutesLow: low,
    minutesHigh: high,
    fits: within(ladder.minutes),
  };
}
