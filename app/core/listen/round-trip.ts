/** A stretch of what the microphone heard, `from` in seconds of the audio context. */
export interface Heard {
  readonly from: number;
  readonly sampleRate: number;
  readonly samples: Float32Array;
}

/** No device answers sooner, or later. */
const SHORTEST = 0.005;
const LONGEST = 0.45;
const STEP_SECONDS = 0.001;
/** Of the loudest in its window: there a click has begun. */
const RISEN = 0.35;
/** How much louder a click must be than what was before it. */
const OVER_NOISE = 4;
/** Clicks that agree lie this near to each other, in seconds. */
const AGREES = 0.01;

/** How loud it was, a value for each step of a window. */
function loudness({ from, sampleRate, samples }: Heard, at: number, seconds: number): number[] {
  const step = Math.round(STEP_SECONDS * sampleRate);
  const first = Math.round((at - from) * sampleRate);
  return Array.from({ length: Math.floor((seconds * sampleRate) / step) }, (_, i) => {
    let most = 0;
    for (let n = first + i * step; n < first + (i + 1) * step; n++) {
      most = Math.max(most, Math.abs(samples[n] ?? 0));
    }
    return most;
  });
}

/** Seconds from a click as it was given out to its coming back; undefined where it is not heard. */
function delayOf(heard: Heard, click: number, until: number): number | undefined {
  const before = loudness(heard, click - 0.05, 0.05);
  const noise = Math.max(1e-4, ...before);
  const window = loudness(heard, click + SHORTEST, Math.min(LONGEST, until) - SHORTEST);
  const loudest = Math.max(0, ...window);
  if (loudest < OVER_NOISE * noise) return undefined;
  return SHORTEST + window.findIndex((value) => value > RISEN * loudest) * STEP_SECONDS;
}

const median = (all: readonly number[]): number =>
  all.toSorted((a, b) => a - b)[Math.floor(all.length / 2)]!;

/**
 * The round trip: seconds from a click's time in the audio context to the moment at which the
 * microphone brings it back, from the clicks of a count-in (or somebody clapping along with them).
 * Undefined unless at least two clicks, and more than half of them, agree within 10 ms.
 */
export function roundTripOf(heard: Heard, clicks: readonly number[]): number | undefined {
  const delays = clicks.flatMap((click, i) => {
    const next = clicks[i + 1];
    return delayOf(heard, click, next === undefined ? LONGEST : next - click) ?? [];
  });
  if (delays.length < 2) return undefined;
  const middle = median(delays);
  const agreeing = delays.filter((delay) => Math.abs(delay - middle) <= AGREES);
  return agreeing.length >= 2 && agreeing.length > clicks.length / 2
    ? agreeing.reduce((sum, delay) => sum + delay, 0) / agreeing.length
    : undefined;
}
