import type { Verdict } from "~/core/gate";
import { TEMPO_LIMITS, type Bpm } from "~/core/units";
import {
  CEILING_PROBABILITY,
  cleanProbability,
  COMFORTABLE_PROBABILITY,
  LAPSE,
  tempoAt,
  type CleanCurve,
} from "./model";

/** One judged play, seen from the day of the estimate. */
export interface RecordedRep {
  readonly tempo: Bpm;
  readonly verdict: Verdict;
  readonly daysAgo: number;
  /** So many of the same; default 1. */
  readonly count?: number;
  /** How much of the passage was played; default 1. A part of it is easier. */
  readonly share?: number;
  /** Slow plays at a base tempo and fast ones at `tempo`, clean only when all of them were. */
  readonly cycle?: Cycle | undefined;
}

interface Cycle {
  readonly base: number;
  readonly slow: number;
  readonly fast: number;
}

/** A value with the span that holds it with probability 0.8. */
export interface Span {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

export interface Estimate {
  readonly comfortable: Span;
  readonly ceiling: Span;
  /** Plays behind it, each counted by its recency weight. */
  readonly weight: number;
  /** P(clean) at a tempo, averaged over what is still uncertain. */
  readonly cleanAt: (tempo: number) => number;
}

/** A play loses half its weight in ten days: skill moves, and old plays tell of an older player. */
const HALF_LIFE_DAYS = 10;

/**
 * The stated prior: before anything was played, the ceiling is expected around the target times
 * 0.85 (less where the notes are known to be hard, see {@link expectedShare}), within a factor of about 1.5 either way (log s.d. 0.4); the fall is about 0.08 wide, within a factor
 * of about 1.6 (log s.d. 0.5).
 */
const PRIOR = { ceilingShare: 0.85, centreSd: 0.4, width: 0.08, widthSd: 0.5 } as const;

/** Notes without any difficulty are expected to come near the target, the hardest far below it. */
const EASIEST_SHARE = 0.95;
const HARDEST_LESS = 0.35;

/**
 * The share of the target at which a new passage's ceiling is expected, by how hard its notes are
 * (0 to 1); the usual share where that is not known.
 */
export const expectedShare = (hardness: number | null): number =>
  hardness === null ? PRIOR.ceilingShare : EASIEST_SHARE - HARDEST_LESS * hardness;

const CENTRE_STEPS = 161;
const WIDTHS = [0.03, 0.045, 0.06, 0.08, 0.11, 0.15, 0.2];
const LOWEST = Math.log(TEMPO_LIMITS.lowest);
const HIGHEST = Math.log(TEMPO_LIMITS.highest);

interface Tally {
  kind: string;
  tempo: number;
  share: number;
  cycle: Cycle | undefined;
  clean: number;
  flawed: number;
}

function tallied(reps: readonly RecordedRep[]): Tally[] {
  const byKind = new Map<string, Tally>();
  for (const { tempo, verdict, daysAgo, share = 1, cycle, count = 1 } of reps) {
    const weight = count * 0.5 ** (Math.max(0, daysAgo) / HALF_LIFE_DAYS);
    const kind = `${tempo} ${share} ${cycle?.base} ${cycle?.slow} ${cycle?.fast}`;
    const tally = byKind.get(kind) ?? { kind, tempo, share, cycle, clean: 0, flawed: 0 };
    tally[verdict] += weight;
    byKind.set(kind, tally);
  }
  return [...byKind.values()];
}

const square = (x: number) => x * x;

function logPrior({ centre, width }: CleanCurve, ceiling: number): number {
  const expected = Math.log(ceiling);
  return (
    -0.5 * square((centre - expected) / PRIOR.centreSd) -
    0.5 * square(Math.log(width / PRIOR.width) / PRIOR.widthSd)
  );
}

/** The curves of the grid, the same for everyone, and ln P(clean) of each at a tempo. */
const GRID: readonly CleanCurve[] = WIDTHS.flatMap((width) =>
  Array.from({ length: CENTRE_STEPS }, (_, i) => ({
    centre: LOWEST + ((HIGHEST - LOWEST) * i) / (CENTRE_STEPS - 1),
    width,
  })),
);
const known = new Map<number, Float64Array>();

/** ln P(clean) at a tempo for every curve of the grid; each tempo is reckoned once. */
function logsAt(tempo: number): Float64Array {
  const found = known.get(tempo);
  if (found) return found;
  const logs = Float64Array.from(GRID, (curve) => Math.log(cleanProbability(curve, tempo)));
  known.set(tempo, logs);
  return logs;
}

const LEAST_LOG = Math.log(1e-9);

interface Likelihood {
  /** ln P(clean) and ln P(flawed) for every curve of the grid. */
  readonly clean: Float64Array;
  readonly flawed: Float64Array;
}

/** The same plays come again from day to day: what they say is reckoned once, as far as it fits. */
const MOST_KNOWN = 500;
const likelihoods = new Map<string, Likelihood>();

/**
 * What a kind of play says of every curve of the grid. Flaws are taken to fall evenly over the
 * bars: a share s of them is clean with P(whole)^s; a cycle when all its plays are.
 */
function likelihoodOf({ kind, tempo, share, cycle }: Tally): Likelihood {
  const found = likelihoods.get(kind);
  if (found) return found;
  const top = logsAt(tempo);
  const base = cycle && logsAt(cycle.base);
  const clean = top.map((each, i) => {
    const once = base ? base[i]! * cycle.slow + each * cycle.fast : each;
    return Math.max(LEAST_LOG, once * share);
  });
  const flawed = clean.map((log) => Math.log(Math.max(LAPSE, 1 - Math.exp(log))));
  if (likelihoods.size >= MOST_KNOWN) likelihoods.clear();
  likelihoods.set(kind, { clean, flawed });
  return { clean, flawed };
}

/** Adds the ln likelihood of one tally to every curve of the grid. */
function addTally(to: Float64Array, tally: Tally): void {
  const likelihood = likelihoodOf(tally);
  for (let i = 0; i < to.length; i++) {
    to[i]! += tally.clean * likelihood.clean[i]! + tally.flawed * likelihood.flawed[i]!;
  }
}

interface Weighted {
  readonly curve: CleanCurve;
  readonly share: number;
}

function posterior(tallies: readonly Tally[], ceiling: number): Weighted[] {
  const logs = Float64Array.from(GRID, (curve) => logPrior(curve, ceiling));
  for (const tally of tallies) addTally(logs, tally);
  const top = logs.reduce((max, log) => Math.max(max, log), -Infinity);
  const weights = logs.map((log) => Math.exp(log - top));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return GRID.map((curve, i) => ({ curve, share: weights[i]! / total }));
}

const playable = (tempo: number) =>
  Math.min(TEMPO_LIMITS.highest, Math.max(TEMPO_LIMITS.lowest, tempo));

/** Mean (in ln-tempo) and 10–90 % span of the tempo at which P(clean) is `probability`. */
function spanOf(curves: readonly Weighted[], probability: number): Span {
  const tempi = curves
    .map(({ curve, share }) => ({ tempo: tempoAt(curve, probability), share }))
    .sort((a, b) => a.tempo - b.tempo);
  const mean = tempi.reduce((sum, { tempo, share }) => sum + share * Math.log(tempo), 0);
  const quantile = (at: number) => {
    let below = 0;
    return tempi.find(({ share }) => (below += share) >= at)?.tempo ?? tempi.at(-1)!.tempo;
  };
  const value = playable(Math.exp(mean));
  return {
    value,
    low: Math.min(value, playable(quantile(0.1))),
    high: Math.max(value, playable(quantile(0.9))),
  };
}

/**
 * Comfortable tempo and ceiling of one student on one passage, from the judged plays, by Bayes on
 * a grid of {@link CleanCurve}s. With no plays it is the prior, by `hardness` (0 to 1) where the
 * notes are known; every value lies in 10–400 bpm.
 */
export function estimate(
  reps: readonly RecordedRep[],
  target: Bpm,
  hardness: number | null = null,
): Estimate {
  const tallies = tallied(reps);
  const curves = posterior(tallies, target * expectedShare(hardness));
  const likely = curves.filter(({ share }) => share > 1e-6);
  return {
    comfortable: spanOf(likely, COMFORTABLE_PROBABILITY),
    ceiling: spanOf(likely, CEILING_PROBABILITY),
    weight: tallies.reduce((sum, { clean, flawed }) => sum + clean + flawed, 0),
    cleanAt: (tempo) =>
      likely.reduce((sum, { curve, share }) => sum + share * cleanProbability(curve, tempo), 0),
  };
}
