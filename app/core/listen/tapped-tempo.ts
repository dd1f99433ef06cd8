import { TEMPO_LIMITS } from "~/core/units";

export interface TappedTempo {
  /** Beats per minute, not rounded. */
  readonly bpm: number;
  /** Standard deviation of the taps around the even beat, in milliseconds. */
  readonly spread: number;
  /** The same as a share of the beat; below 0.03 is steady, above 0.07 is not. */
  readonly unsteadiness: number;
  /** Beats that were passed over without a tap. */
  readonly missed: number;
  readonly taps: number;
}

const FEWEST_TAPS = 4;
/** A pause of more beats than this begins anew. */
const LONGEST_PAUSE_BEATS = 4;
/** Two taps closer than this share of the beat are one that bounced. */
const BOUNCE = 0.35;

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

const gaps = (times: readonly number[]) => times.slice(1).map((time, i) => time - times[i]!);

/** The latest run of taps without a long pause, bounced ones left out. */
function latestRun(times: readonly number[]): number[] {
  const beat = median(gaps(times));
  const run: number[] = [];
  for (const time of times) {
    const before = run.at(-1);
    if (before !== undefined && time - before < BOUNCE * beat) continue;
    if (before !== undefined && time - before > LONGEST_PAUSE_BEATS * beat) run.length = 0;
    run.push(time);
  }
  return run;
}

/**
 * The tempo of taps at `times` (milliseconds, rising), by least squares of tap time on beat
 * number, so that one early tap moves it little and a missed one (a gap of two beats) not at all.
 * Undefined with fewer than four taps, or when the tempo lies outside 10–400 bpm.
 */
export function tappedTempo(times: readonly number[]): TappedTempo | undefined {
  if (times.length < FEWEST_TAPS) return undefined;
  const run = latestRun(times);
  if (run.length < FEWEST_TAPS) return undefined;
  const beat = median(gaps(run));
  let number = 0;
  const numbers = [0, ...gaps(run).map((gap) => (number += Math.max(1, Math.round(gap / beat))))];
  const n = run.length;
  const meanNumber = numbers.reduce((a, b) => a + b, 0) / n;
  const meanTime = run.reduce((a, b) => a + b, 0) / n;
  let across = 0;
  let along = 0;
  run.forEach((time, i) => {
    across += (numbers[i]! - meanNumber) * (time - meanTime);
    along += (numbers[i]! - meanNumber) ** 2;
  });
  const period = across / along;
  const residuals = run.map((time, i) => time - meanTime - period * (numbers[i]! - meanNumber));
  const spread = Math.sqrt(residuals.reduce((sum, r) => sum + r * r, 0) / Math.max(1, n - 2));
  const bpm = 60_000 / period;
  if (!(bpm >= TEMPO_LIMITS.lowest && bpm <= TEMPO_LIMITS.highest)) return undefined;
  return {
    bpm,
    spread,
    unsteadiness: spread / period,
    missed: numbers.at(-1)! - (n - 1),
    taps: n,
  };
}
