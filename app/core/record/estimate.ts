import { TEMPO_LIMITS } from "~/core/units";
import { TUNED } from "./filter";
import { weightsOf, type Level } from "./level";
import { CEILING_PROBABILITY, COMFORTABLE_PROBABILITY, LAPSE } from "./model";
import { normalBelow } from "./normal";

/** A value with the span that holds it with probability 0.8. */
export interface Span {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** What a level says of tempi, in bpm. */
export interface Estimate {
  readonly comfortable: Span;
  readonly ceiling: Span;
  /** P(clean) of the whole at a tempo, averaged over what is still uncertain. */
  readonly cleanAt: (tempo: number) => number;
}

const playable = (tempo: number) =>
  Math.min(TEMPO_LIMITS.highest, Math.max(TEMPO_LIMITS.lowest, tempo));

/** ln of the tempo at which P(clean) is `probability`, above the middle of the fall, in widths. */
export const widthsTo = (probability: number): number => Math.log((1 - LAPSE) / probability - 1);

/** What no number of plays shows: tiring within a day, good and bad weeks; ln-tempo. */
const UNSEEN_SD = 0.012;
/**
 * Nor do plays show the exact shape of the fall: what is told of a tempo away from its middle is
 * off by a share of the way to there.
 */
const UNSEEN_SHAPE = 0.05;

interface Part {
  readonly weight: number;
  readonly mean: number;
  readonly sd: number;
}

/** ln of the tempo at which P(clean) is `probability`, as a mixture of normals. */
function mixtureAt(level: Level, probability: number): Part[] {
  const widths = widthsTo(probability);
  const weights = weightsOf(level);
  return level.filters.map(({ width, level: at, levelVar }, i) => ({
    weight: weights[i]!,
    mean: at + width * widths,
    sd: Math.sqrt(levelVar + UNSEEN_SD ** 2 + (UNSEEN_SHAPE * width * widths) ** 2),
  }));
}

const below = (parts: readonly Part[], ln: number): number =>
  parts.reduce((sum, { weight, mean, sd }) => sum + weight * normalBelow((ln - mean) / sd), 0);

const HALVINGS = 40;

function quantile(parts: readonly Part[], share: number): number {
  let low = Math.min(...parts.map(({ mean, sd }) => mean - 6 * sd));
  let high = Math.max(...parts.map(({ mean, sd }) => mean + 6 * sd));
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (below(parts, middle) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Mean (in ln-tempo) and 10–90 % span of the tempo at which P(clean) is `probability`. */
function spanAt(level: Level, probability: number): Span {
  const parts = mixtureAt(level, probability);
  const mean = parts.reduce((sum, part) => sum + part.weight * part.mean, 0);
  const value = playable(Math.exp(mean));
  const [low, high] = [quantile(parts, 0.1), quantile(parts, 0.9)].map((ln) =>
    playable(Math.exp(ln)),
  ) as [number, number];
  return { value, low: Math.min(value, low), high: Math.max(value, high) };
}

/** The chance that P(clean) at a tempo is at least `probability`. */
export const chanceToStand = (level: Level, tempo: number, probability: number): number =>
  1 - below(mixtureAt(level, probability), Math.log(tempo));

/** A start is advised where a clean play is this likely. */
const ADVISED_PROBABILITY = 0.85;

/**
 * Where to start as advised, in bpm: the highest tempo at which a clean play is likely (0.85) even by
 * the low end of what is believed.
 */
export const advisedStart = (level: Level): number =>
  playable(Math.exp(quantile(mixtureAt(level, ADVISED_PROBABILITY), 0.1)));

/**
 * P(clean) of the whole at a tempo: a logistic in a level that is normal, by the usual scaling of
 * its slope (MacKay), with good and bad days among what is uncertain.
 */
function cleanAtOf(level: Level): (tempo: number) => number {
  const weights = weightsOf(level);
  const parts = level.filters.map(({ width, level: at, levelVar }, i) => ({
    weight: weights[i]!,
    at,
    width: Math.sqrt(width ** 2 + (Math.PI / 8) * (levelVar + TUNED.dayNoise ** 2)),
  }));
  return (tempo) => {
    const ln = Math.log(tempo);
    let sum = 0;
    for (const { weight, at, width } of parts) sum += weight / (1 + Math.exp((ln - at) / width));
    return (1 - LAPSE) * sum;
  };
}

/** Comfortable tempo, ceiling and the chance of a clean play, as a level has them. */
export const estimateOf = (level: Level): Estimate => ({
  comfortable: spanAt(level, COMFORTABLE_PROBABILITY),
  ceiling: spanAt(level, CEILING_PROBABILITY),
  cleanAt: cleanAtOf(level),
});
