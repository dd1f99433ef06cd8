import type { RibbonPassage } from "~/components/bar-ribbon";
import type { BeatRange } from "~/components/use-bar-selection";
import type { BarMarks, Within } from "~/core/score";

/** What lies over the bars of a piece, however they are drawn. */
export interface BarsChosen {
  readonly passages: readonly RibbonPassage[];
  readonly marks: BarMarks;
  readonly piece: Within;
  readonly selection: BeatRange | undefined;
  readonly onSelect: (range: BeatRange) => void;
  readonly byNotes: boolean;
  readonly edges: boolean;
}
