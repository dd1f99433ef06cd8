import { rungsToday } from "~/core/ladder";
import { fastTempo, whereOf } from "~/core/session";
import type { Day } from "~/core/units";
import type { Passage } from "~/db/queries";
import { blockOf } from "../cases/start-session";

const MOST = 60;

/**
 * The tempi of today's rungs, each once in its order, of cycles the fast ones; and at which the
 * stand begins. None without a ladder.
 */
export function tempiToday(
  passage: Passage,
  today: Day,
): { readonly tempi: readonly number[]; readonly begins: number | undefined } {
  const block = blockOf(passage, today);
  if (!block) return { tempi: [], begins: undefined };
  const rungs = rungsToday(block.ladder, whereOf(block), block.comfortable ?? undefined);
  const tempi = rungs.map((rung) => fastTempo(rung, rung.tempo) as number);
  return {
    tempi: tempi.filter((tempo, n) => tempo !== tempi[n - 1]).slice(0, MOST),
    begins: rungs[0]?.tempo,
  };
}
