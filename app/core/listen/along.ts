/** A bar line of a demonstration, and when it is to be heard, in seconds. */
export interface AlongPoint {
  readonly input: number;
  readonly output: number;
}

interface PlayedBar {
  readonly part: string;
  readonly number: number;
  readonly start: number;
  readonly duration: number;
}

interface MarkedBars {
  readonly fromBar: number;
  /** When its bars begin in the recording; one more than there are bars. */
  readonly lines: readonly number[];
}

/**
 * Where the bar lines of a demonstration are to be heard in a loop: the bars of the play, one after
 * the other; a passage that goes round several times is shown once. Nothing where the play has a
 * bar that the demonstration has not.
 */
export function alongPoints(bars: readonly PlayedBar[], { fromBar, lines }: MarkedBars) {
  const played = bars.filter(({ part }) => part === "play");
  const upTo = played.findIndex(({ number }, n) => n > 0 && number !== played[n - 1]!.number + 1);
  const once = upTo < 0 ? played : played.slice(0, upTo);
  const lineOf = (bar: number) => lines[bar - fromBar];
  const [last] = once.slice(-1);
  const known = once.every(({ number }) => lineOf(number + 1) !== undefined);
  if (!last || !known || lineOf(once[0]!.number) === undefined) return [];
  const points = once.map(({ number, start }) => ({ input: lineOf(number)!, output: start }));
  return [...points, { input: lineOf(last.number + 1)!, output: last.start + last.duration }];
}

/** So much slower and faster than it was recorded it still sounds like the instrument. */
const ALONG_RATES = { slowest: 0.5, fastest: 1.2 } as const;
const BESIDE = 0.005;

/** Whether every bar is drawn out or together no more than that. */
export const canSoundAlong = (points: readonly AlongPoint[]): boolean =>
  points.slice(1).every(({ input, output }, n) => {
    const before = points[n]!;
    const rate = (input - before.input) / (output - before.output);
    return rate >= ALONG_RATES.slowest - BESIDE && rate <= ALONG_RATES.fastest + BESIDE;
  });
