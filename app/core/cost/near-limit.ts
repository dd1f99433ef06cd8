import { NEAR_LIMIT, type Rung } from "~/core/ladder";

/** The aim: so much of the playing time near the limit or beyond it (craft, 5). */
const NEAR_LIMIT_AIM = { from: 0.1, to: 0.15 } as const;

export interface NearLimit {
  /** Share of the playing time at 90 % of the ceiling or faster, 0–1. */
  readonly share: number;
  readonly verdict: "much" | "right" | "little";
}

const GRACE = 0.05;

/** How much of the minutes of a ladder is spent near the limit, beside what is aimed at. */
export function nearLimit(
  rungs: readonly Rung[],
  minutes: readonly number[],
  ceiling: number,
): NearLimit {
  const total = minutes.reduce((sum, each) => sum + each, 0);
  const near = rungs.reduce((sum, { tempo, top, ease, cycle }, i) => {
    const isNear = (bpm: number) => bpm * ease >= NEAR_LIMIT * ceiling;
    const spent = minutes[i] ?? 0;
    if (isNear(tempo)) return sum + spent;
    if (!cycle || !isNear(top)) return sum;
    // Of a cycle only the fast plays are near; they last as much shorter as they are faster.
    const fast = (cycle.fast * tempo) / top;
    return sum + (spent * fast) / (cycle.slow + fast);
  }, 0);
  const share = total > 0 ? near / total : 0;
  if (share > NEAR_LIMIT_AIM.to + GRACE) return { share, verdict: "much" };
  return { share, verdict: share < NEAR_LIMIT_AIM.from - GRACE ? "little" : "right" };
}
