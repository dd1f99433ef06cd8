/** A stretch of what the microphone heard, `from` in seconds of the audio context. */
export interface Heard {
  readonly from: number;
  readonly sampleRate: number;
  readonly samples: Float32Array;
}

/** What comes back of clicks: within which time after each, and how nearly they must agree. */
interface Answer {
  /** Seconds after a click, at the earliest and at the latest. */
  readonly shortest: number;
  readonly longest: number;
  /** Answers that agree lie this near to their middle one, in seconds. */
  readonly agrees: number;
  readonly least: number;
}

/** No device answers sooner, or later. */
const ECHO: Answer = { shortest: 0.005, longest: 0.45, agrees: 0.01, least: 2 };
/** Hands come a little early or late, and not always. */
const CLAP: Answer = { shortest: -0.15, longest: 0.35, agrees: 0.04, least: 4 };

const STEP_SECONDS = 0.001;
/** Of the loudest in its window: there a click has begun. */
const RISEN = 0.35;
/** How much louder a click must be than what was before it. */
const OVER_NOISE = 4;
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

/** Seconds from a click as it was given out to its answer; undefined where none is heard. */
function delayOf(
  heard: Heard,
  click: number,
  until: number,
  { shortest, longest }: Answer,
): number | undefined {
  const from = click + shortest;
  const noise = Math.max(1e-4, ...loudness(heard, from - 0.05, 0.05));
  const window = loudness(heard, from, Math.min(longest, until) - shortest);
  const loudest = Math.max(0, ...window);
  if (loudest < OVER_NOISE * noise) return undefined;
  return shortest + window.findIndex((value) => value > RISEN * loudest) * STEP_SECONDS;
}

const median = (all: readonly number[]): number =>
  all.toSorted((a, b) => a - b)[Math.floor(all.length / 2)]!;

/** The time of the answers that agree, in the mean; undefined where not more than half of them do. */
function answeredAfter(
  heard: Heard,
  clicks: readonly number[],
  answer: Answer,
): number | undefined {
  const { longest, shortest, agrees, least } = answer;
  const delays = clicks.flatMap((click, i) => {
    const next = clicks[i + 1];
    const until = next === undefined ? longest : next - click + Math.min(0, shortest);
    return delayOf(heard, click, until, answer) ?? [];
  });
  if (delays.length < least) return undefined;
  const middle = median(delays);
  const agreeing = delays.filter((delay) => Math.abs(delay - middle) <= agrees);
  return agreeing.length >= least && agreeing.length > clicks.length / 2
    ? agreeing.reduce((sum, delay) => sum + delay, 0) / agreeing.length
    : undefined;
}

/**
 * The round trip: seconds from a click's time in the audio context to the moment at which the
 * microphone brings it back, from the clicks of a count-in. Undefined unless at least two clicks,
 * and more than half of them, agree within 10 ms.
 */
export const roundTripOf = (heard: Heard, clicks: readonly number[]): number | undefined =>
  answeredAfter(heard, clicks, ECHO);

/**
 * The same by somebody who hears the clicks in headphones and claps along: so many seconds later, on
 * average, the microphone hears what is played on a click. Undefined unless at least four claps, and
 * more than half of what was clicked, agree within 40 ms.
 */
export const clappedDelay = (heard: Heard, clicks: readonly number[]): number | undefined =>
  answeredAfter(heard, clicks, CLAP);
