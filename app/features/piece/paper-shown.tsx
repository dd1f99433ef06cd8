import Button from "@mui/material/Button";
import { lazy, Suspense, useEffect, useMemo, useState } from "react";
import { barsOfPaper } from "~/features/notation/bars-shown";
import { Notation } from "~/features/notation/notation";
import { notationWords } from "~/words/notation";
import type { BarsChosen } from "./bars-chosen";
import type { PiecePageProps, PiecePaper } from "./piece-page-props";
import styles from "./piece.module.css";

const DrawBars = lazy(() =>
  import("~/features/paper/draw-bars").then(({ DrawBars }) => ({ default: DrawBars })),
);

interface PaperShownProps extends BarsChosen {
  readonly page: PiecePageProps;
  readonly paper: PiecePaper;
}

const { pages: told } = notationWords;

/** The bars of a piece on paper, cut out of its pages; or the tool by which they are drawn. */
export function PaperShown({ page, paper, ...chosen }: PaperShownProps) {
  const { studioId, person, piece, flaws } = page;
  const { layout, files, pages } = paper;
  const [drawing, setDrawing] = useState(layout.length === 0);
  // Bars that have been kept are shown; pages without any are drawn on.
  useEffect(() => setDrawing(layout.length === 0), [layout]);
  const bars = useMemo(() => barsOfPaper(piece), [piece]);
  const here = `/studio/${studioId}/students/${person.id}/pieces/${piece.id}`;
  const teaches = page.role === "teacher";
  if (drawing && !teaches) return <p className={styles.hint}>{told.notYet}</p>;
  if (drawing) {
    return (
      <Suspense fallback={<p className={styles.hint}>{notationWords.coming}</p>}>
        <DrawBars
          key={pages[0]?.address}
          pages={pages}
          layout={layout}
          first={piece.pickupBeats > 0 ? 0 : 1}
          onLeave={layout.length > 0 ? () => setDrawing(false) : undefined}
        />
      </Suspense>
    );
  }
  const numbers = layout.flatMap(({ left, top, right, bottom, lines }) => {
    return [left, top, right, bottom, ...lines];
  });
  const drawn = numbers.reduce((sum, each) => sum + each, 0);
  return (
    <>
      <Notation
        // Bars drawn otherwise are another picture.
        address={`${here}/notation?drawn=${drawn.toFixed(4)}`}
        bars={bars}
        flaws={flaws}
        {...chosen}
      />
      {teaches && (
        <div className={styles.source}>
          <span>
            {told.from}
            {files.map((name, index) => (
              <span key={index}>
                {index > 0 && ", "}
                <a href={`${here}/paper-file/${index + 1}`}>{told.files(name)}</a>
              </span>
            ))}
          </span>
          <Button size="small" onClick={() => setDrawing(true)}>
            {told.again}
          </Button>
        </div>
      )}
    </>
  );
}
