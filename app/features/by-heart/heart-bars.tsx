import { useMemo } from "react";
import { BarRibbon, type RibbonPassage } from "~/components/bar-ribbon";
import { wholeBars, type BarRange } from "~/components/use-bar-selection";
import { barsOfPaper, barsOfScore } from "~/features/notation/bars-shown";
import { Notation } from "~/features/notation/notation";
import type { ByHeartPageProps } from "./by-heart-page-props";

interface HeartBarsProps {
  readonly page: ByHeartPageProps;
  /** What stands, as it hangs below its bars. */
  readonly stretches: readonly RibbonPassage[];
  readonly selection: BarRange | undefined;
  readonly onSelect: (bars: BarRange) => void;
  readonly covered: BarRange | undefined;
}

/** The bars of a piece, in notes, on paper or as a ribbon, with what stands of them by heart. */
export function HeartBars({ page, stretches, selection, onSelect, covered }: HeartBarsProps) {
  const { studioId, person, piece, notation, paper } = page;
  const drawn = paper && paper.layout.length > 0;
  const bars = useMemo(
    () => (notation ? barsOfScore(notation.score, notation.partId) : barsOfPaper(piece)),
    [notation, piece],
  );
  if (!notation && !drawn) {
    return (
      <BarRibbon
        bars={piece.bars}
        metres={piece.metres}
        pickupBeats={piece.pickupBeats}
        passages={stretches}
        selection={selection}
        onSelect={onSelect}
      />
    );
  }
  const here = `/studio/${studioId}/students/${person.id}/pieces/${piece.id}/notation`;
  const part = notation ? `part=${encodeURIComponent(notation.partId)}` : "paper=1";
  return (
    <Notation
      address={`${here}?${part}`}
      bars={bars}
      passages={stretches}
      flaws={NONE}
      marks={NONE}
      piece={piece}
      selection={selection && wholeBars(selection)}
      onSelect={onSelect}
      byNotes={false}
      edges={false}
      covered={covered}
    />
  );
}

const NONE = {};
