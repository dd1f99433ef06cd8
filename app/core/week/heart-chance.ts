import { addDays, daysBetween, type Day } from "~/core/units";
import type { MemoryPlan } from "./memorise";

/** What is learned by heart comes in lumps of about so many bars, not bar by bar. */
const LUMP_BARS = 4;
/** The plan's own pace weighs as much as having learned two lumps at it. */
const PRIOR_LUMPS = 2;
/** Before so many days nothing can be told. */
const LEAST_DAYS = 5;

/**
 * The chance that all of a plan stands by heart on its last day of learning, at the pace so far.
 * Lumps come at a steady rate that is not known (Poisson; its rate a gamma that begins at the plan's
 * pace), so that what still comes is a negative binomial. Undefined while it is too early to tell.
 */
export function chanceByHeart(plan: MemoryPlan, stands: number, today: Day): number | undefined {
  const ready = addDays(plan.concert, -7 * plan.marginWeeks);
  const left = daysBetween(today, ready);
  const gone = daysBetween(plan.from, today);
  if (stands >= plan.total) return 1;
  if (left <= 0) return 0;
  if (gone < LEAST_DAYS) return undefined;
  const lump = plan.unit === "bars" ? LUMP_BARS : 1;
  const pace = plan.total / lump / daysBetween(plan.from, ready);
  const shape = PRIOR_LUMPS + stands / lump;
  const rate = PRIOR_LUMPS / pace + gone;
  const needed = Math.ceil((plan.total - stands) / lump);
  const stays = rate / (rate + left);
  let [some, fewer] = [stays ** shape, 0];
  for (let n = 0; n < needed; n++) {
    fewer += some;
    some *= ((n + shape) / (n + 1)) * (1 - stays);
  }
  return Math.min(1, Math.max(0, 1 - fewer));
}
