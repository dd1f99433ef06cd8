/** How far the clicks of a recording lie from where they should be. */
export interface OnsetReport {
  readonly expected: number;
  readonly missing: number;
  readonly extra: number;
  /** In samples. */
  readonly worst: number;
  readonly mean: number;
}

const LOUD = 0.02;
const QUIET = 0.004;
const QUIET_SAMPLES = 24;

/** Samples at which sound begins: loud ones after at least half a millisecond of quiet. */
function onsetsOf(samples: Float32Array): number[] {
  const found: number[] = [];
  let quiet = QUIET_SAMPLES;
  for (let i = 0; i < samples.length; i++) {
    const size = Math.abs(samples[i]!);
    if (size > LOUD && quiet >= QUIET_SAMPLES) found.push(i);
    quiet = size < QUIET ? quiet + 1 : 0;
  }
  return found;
}

/**
 * Compares a recording with the times at which clicks should begin. `expected` in samples (not
 * rounded), rising; an onset further than half the smallest gap from any of them is extra.
 */
export function measureOnsets(samples: Float32Array, expected: readonly number[]): OnsetReport {
  const gaps = expected.slice(1).map((at, i) => at - expected[i]!);
  const reach = gaps.reduce((least, gap) => Math.min(least, gap), Infinity) / 2;
  const onsets = onsetsOf(samples);
  const errors: number[] = [];
  let next = 0;
  let extra = 0;
  for (const onset of onsets) {
    while (next < expected.length && expected[next]! < onset - reach) next++;
    if (next < expected.length && Math.abs(onset - expected[next]!) <= reach) {
      errors.push(Math.abs(onset - expected[next]!));
      next++;
    } else {
      extra++;
    }
  }
  return {
    expected: expected.length,
    missing: expected.length - errors.length,
    extra,
    worst: errors.reduce((most, error) => Math.max(most, error), 0),
    mean: errors.reduce((sum, error) => sum + error, 0) / Math.max(1, errors.length),
  };
}
