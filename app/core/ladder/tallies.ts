/** Judged plays at one tempo. */
export interface Tally {
  readonly tempo: number;
  readonly plays: number;
  readonly clean: number;
}

/** From this share of the ceiling on a tempo is near the limit (craft, 5). */
export const NEAR_LIMIT = 0.9;
const MOST_SHARE = 0.4;
const LEAST_PLAYS = 10;

/** How many of the plays lay near the limit, where these were too many. */
export function tooNearTheLimit(
  tempi: readonly Tally[],
  ceiling: number,
): { readonly near: number; readonly plays: number } | undefined {
  const sum = (of: readonly Tally[]) => of.reduce((total, each) => total + each.plays, 0);
  const plays = sum(tempi);
  const near = sum(tempi.filter(({ tempo }) => tempo >= NEAR_LIMIT * ceiling));
  return plays >= LEAST_PLAYS && near >= MOST_SHARE * plays ? { near, plays } : undefined;
}

const FLAWED_BEFORE = 3;

/** Whether one clean play after several flawed ones is all that there was. */
export const onceAfterMany = ({ plays, clean }: Tally): boolean =>
  clean === 1 && plays > FLAWED_BEFORE;
