import { logLikelihood, type Kind } from "./day-plays";

/** How far a key lies from the common level: mean and variance in ln-tempo. */
export type KeyOffset = readonly [mean: number, variance: number];

/**
 * What is believed of a level, if the fall from clean to flawed is `width` wide: normal in `level`
 * (ln of the tempo at which the fall is half done) and `gain` (of level in a practice day).
 */
export interface Filter {
  readonly width: number;
  readonly level: number;
  readonly gain: number;
  readonly levelVar: number;
  readonly covar: number;
  readonly gainVar: number;
  /** ln of the evidence for this width, with its prior. */
  readonly evidence: number;
  readonly keys: Readonly<Record<string, KeyOffset>>;
}

/**
 * Tuned on learners that gain evenly, ever less, or not at all (docs/judgement.md): what is kept of
 * the gain from a day to the next, what is expected of it, how level and gain drift, how good and
 * bad days differ, what a day off costs; all in ln-tempo.
 */
export const TUNED = {
  gainKept: 0.985,
  gain: 0.006,
  gainSd: 0.014,
  levelDrift: 0.012,
  gainDrift: 0.0005,
  dayNoise: 0.03,
  lostADay: 0.004,
  keySd: 0.06,
} as const;

const LN_LOWEST = Math.log(4);
const LN_HIGHEST = Math.log(1000);
const within = (level: number) => Math.min(LN_HIGHEST, Math.max(LN_LOWEST, level));

/** Longer pauses cost no more: what was learned once does not go to nothing. */
const MOST_DAYS_LOST = 60;
const MOST_DAYS_DRIFTED = 365;

/** The night after a day of practice: the gain is there in the morning. */
export function afterPractice(filter: Filter): Filter {
  const { level, gain, levelVar, covar, gainVar } = filter;
  const { gainKept, levelDrift, gainDrift } = TUNED;
  return {
    ...filter,
    level: within(level + gain),
    gain: gainKept * gain,
    levelVar: levelVar + 2 * covar + gainVar + levelDrift ** 2,
    covar: gainKept * (covar + gainVar),
    gainVar: gainKept ** 2 * gainVar + gainDrift ** 2,
  };
}

/** So many days off in a row: something is lost, and less is sure. */
export function afterDaysOff(filter: Filter, days: number): Filter {
  const drifted = Math.min(days, MOST_DAYS_DRIFTED);
  return {
    ...filter,
    level: within(filter.level - TUNED.lostADay * Math.min(days, MOST_DAYS_LOST)),
    levelVar: filter.levelVar + drifted * TUNED.levelDrift ** 2,
    gainVar: filter.gainVar + drifted * TUNED.gainDrift ** 2,
  };
}

/** So many days, each one of practice with a chance: what is to be expected of them beforehand. */
export function afterSomeDays(filter: Filter, practised: number, days: number): Filter {
  let { level, gain, levelVar, covar, gainVar } = filter;
  const { gainKept, levelDrift, gainDrift, lostADay } = TUNED;
  const off = 1 - practised;
  const kept = 1 - practised * (1 - gainKept);
  for (let day = 0; day < days; day++) {
    levelVar +=
      2 * practised * covar +
      practised ** 2 * gainVar +
      practised * off * (gain + lostADay) ** 2 +
      levelDrift ** 2;
    level = within(level + practised * gain - off * lostADay);
    gain *= kept;
    covar = kept * (covar + practised * gainVar);
    gainVar = kept ** 2 * gainVar + gainDrift ** 2;
  }
  return { ...filter, level, gain, levelVar, covar, gainVar };
}

const GRID = 64;
const REACH = 5;
/** Passes over ever finer grids: the first may be far too wide for a day of many plays. */
const MOST_PASSES = 6;

interface Posterior {
  readonly mean: number;
  readonly variance: number;
  /** ln of the plays' likelihood, averaged over what was believed before. */
  readonly evidence: number;
}

/** Where the plays of a day put that day's level, believed before to be normal. */
function posterior(kinds: readonly Kind[], width: number, mean: number, sd: number): Posterior {
  let [centre, reach] = [mean, REACH * sd];
  const logs = new Float64Array(GRID);
  for (let pass = 1; ; pass++) {
    const step = (2 * reach) / (GRID - 1);
    const at = (i: number) => centre - reach + i * step;
    let top = -Infinity;
    for (let i = 0; i < GRID; i++) {
      const y = at(i);
      logs[i] = logLikelihood(kinds, y, width) - 0.5 * ((y - mean) / sd) ** 2;
      top = Math.max(top, logs[i]!);
    }
    let [sum, first, second] = [0, 0, 0];
    for (let i = 0; i < GRID; i++) {
      const weight = Math.exp(logs[i]! - top);
      const y = at(i) - centre;
      sum += weight;
      first += weight * y;
      second += weight * y * y;
    }
    const shift = first / sum;
    const variance = Math.max(second / sum - shift ** 2, 0);
    const spread = Math.sqrt(variance);
    if (pass >= 2 && (spread > step || pass >= MOST_PASSES)) {
      const evidence = top + Math.log(sum * step) - Math.log(sd * Math.sqrt(2 * Math.PI));
      return { mean: centre + shift, variance: Math.max(variance, (step / 4) ** 2), evidence };
    }
    centre += shift;
    reach = REACH * Math.max(spread, step / 2);
  }
}

/** What a day's plays in one key (or none) teach: exact in the day's level, then by Kalman's gain. */
export function learn(filter: Filter, key: string, kinds: readonly Kind[]): Filter {
  const { width, level, gain, levelVar, covar, gainVar, keys } = filter;
  const [offset, offsetVar] = key === "" ? [0, 0] : (keys[key] ?? [0, TUNED.keySd ** 2]);
  const expected = level + offset;
  const variance = levelVar + offsetVar + TUNED.dayNoise ** 2;
  const seen = posterior(kinds, width, expected, Math.sqrt(variance));
  const surprise = seen.mean - expected;
  // Never gained by a day on which nothing was learned.
  const less = Math.max(0, variance - seen.variance);
  const [forLevel, forGain] = [levelVar / variance, covar / variance];
  const forOffset = offsetVar / variance;
  return {
    width,
    level: within(level + forLevel * surprise),
    gain: gain + forGain * surprise,
    levelVar: levelVar - forLevel ** 2 * less,
    covar: covar - forLevel * forGain * less,
    gainVar: gainVar - forGain ** 2 * less,
    evidence: filter.evidence + seen.evidence,
    keys:
      key === ""
        ? keys
        : {
            ...keys,
            [key]: [offset + forOffset * surprise, offsetVar - forOffset ** 2 * less],
          },
  };
}
