import type { ResolvedRegion } from "~/core/score";
import { tempiWords } from "~/words/tempi";

/** A region by its bars, as it is spoken of. */
export const nameOf = (
  { fromBar, toBar }: Pick<ResolvedRegion, "fromBar" | "toBar">,
  bars: number,
): string => tempiWords.bars(fromBar, toBar ?? bars);
