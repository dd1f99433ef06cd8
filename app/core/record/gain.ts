/** The estimated ceiling after one practice day. */
export interface DayCeiling {
  readonly ceiling: number;
}

/** Estimates jump from day to day; over so many practice days the jumps even out. */
const OVER_DAYS = 4;

/**
 * The best that a student has gained in a practice day, in percent of the tempo, averaged over any
 * four practice days in a row of one passage. Undefined with fewer days than that.
 */
export function bestDailyGain(passages: readonly (readonly DayCeiling[])[]): number | undefined {
  const gains = passages.flatMap((days) =>
    days.slice(OVER_DAYS).map(({ ceiling }, i) => {
      const before = days[i]!.ceiling;
      return ((ceiling / before) ** (1 / OVER_DAYS) - 1) * 100;
    }),
  );
  return gains.length === 0 ? undefined : Math.max(0, ...gains);
}
