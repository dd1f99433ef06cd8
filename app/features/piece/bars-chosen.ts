import type { RibbonPassage } from "~/components/bar-ribbon";
import type { BarRange } from "~/components/use-bar-selection";
import type { BarMarks } from "~/core/score";

/** What lies over the bars of a piece, however they are drawn. */
export interface BarsChosen {
  readonly passages: readonly RibbonPassage[];
  readonly marks: BarMarks;
  readonly selection: BarRange | undefined;
  readonly onSelect: (range: BarRange) => void;
}
