import { fastTempo, stairsOf } from "~/core/session";
import type { Day } from "~/core/units";
import type { Passage } from "~/db/queries";
import { blockOf } from "./block-of";

const MOST = 60;

/**
 * The tempi of today's rungs, each once in its order, of cycles the fast ones; and at which the
 * stand begins; those of an easy session after a stop for pain. None without a ladder.
 */
export function tempiToday(
  passage: Passage,
  today: Day,
  easyAgain = false,
): { readonly tempi: readonly number[]; readonly begins: number | undefined } {
  const block = blockOf(passage, today);
  if (!block) return { tempi: [], begins: undefined };
  const { rungs } = stairsOf(block, easyAgain);
  const tempi = rungs.map((rung) => fastTempo(rung, rung.tempo) as number);
  return {
    tempi: tempi.filter((tempo, n) => tempo !== tempi[n - 1]).slice(0, MOST),
    begins: rungs[0]?.tempo,
  };
}
