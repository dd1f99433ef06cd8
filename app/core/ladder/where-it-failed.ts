/** Flaws that were told with their bar. */
export interface BarFlaws {
  readonly bar: number;
  readonly flawed: number;
}

export interface FailedBars {
  readonly fromBar: number;
  readonly toBar: number;
  /** Most of what was told, and enough was; otherwise only the four bars that hold most of it. */
  readonly enough: boolean;
}

const LONGEST = 4;
const MOST_OF_THEM = 0.7;
const FEWEST = 3;

/**
 * The bars where it failed: the shortest run of at most four that holds at least 70 % of the flaws
 * told with their bar, when there are at least three; else the run of four that holds most. The
 * first of equals. Undefined when nothing was told, or when the run would be all of the bars.
 */
export function whereItFailed(
  flaws: readonly BarFlaws[],
  { fromBar, toBar }: { readonly fromBar: number; readonly toBar: number },
): FailedBars | undefined {
  const inside = flaws.filter(({ bar }) => bar >= fromBar && bar <= toBar);
  const sumOf = (from: number, to: number) =>
    inside.reduce((sum, { bar, flawed }) => sum + (bar >= from && bar <= to ? flawed : 0), 0);
  const all = sumOf(fromBar, toBar);
  const count = toBar - fromBar + 1;
  if (all === 0) return undefined;
  const runs = (length: number) =>
    Array.from({ length: Math.max(0, count - length + 1) }, (_, i) => ({
      fromBar: fromBar + i,
      toBar: fromBar + i + length - 1,
    }));
  if (all >= FEWEST) {
    for (let length = 1; length <= Math.min(LONGEST, count - 1); length++) {
      const found = runs(length).find((run) => sumOf(run.fromBar, run.toBar) >= MOST_OF_THEM * all);
      if (found) return { ...found, enough: true };
    }
  }
  let best: FailedBars | undefined;
  let most = 0;
  for (const run of count > LONGEST ? runs(LONGEST) : []) {
    const sum = sumOf(run.fromBar, run.toBar);
    if (sum > most) [most, best] = [sum, { ...run, enough: false }];
  }
  return best;
}
