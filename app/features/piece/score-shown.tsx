import Button from "@mui/material/Button";
import { useMemo, useState } from "react";
import { barsOfScore } from "~/features/notation/bars-shown";
import { Notation } from "~/features/notation/notation";
import { notationWords } from "~/words/notation";
import { PartChoice } from "./part-choice";
import type { BarsChosen } from "./bars-chosen";
import type { PiecePageProps, PieceScore } from "./piece-page-props";
import styles from "./piece.module.css";

interface ScoreShownProps extends BarsChosen {
  readonly page: PiecePageProps;
  readonly notation: PieceScore;
}

/** The notes of a piece, the student's part alone or with the others. */
export function ScoreShown(props: ScoreShownProps) {
  const { page, notation, ...chosen } = props;
  const { studioId, person, piece, flaws } = page;
  const { score, partId, fileName } = notation;
  const teaches = page.role === "teacher";
  const [allParts, setAllParts] = useState(false);
  const bars = useMemo(() => barsOfScore(score, partId), [score, partId]);
  const here = `/studio/${studioId}/students/${person.id}/pieces/${piece.id}`;
  return (
    <>
      <Notation
        address={`${here}/notation?${allParts ? "all=1" : `part=${encodeURIComponent(partId)}`}`}
        bars={bars}
        flaws={flaws}
        {...chosen}
      />
      <div className={styles.source}>
        <span>
          {notationWords.from(fileName)}
          {teaches && (
            <>
              {" · "}
              <a href={`${here}/score-file`}>{notationWords.original}</a>
            </>
          )}
        </span>
        {score.parts.length > 1 && (
          <span className={styles.parts}>
            {teaches && <PartChoice parts={score.parts} partId={partId} />}
            <Button size="small" aria-pressed={allParts} onClick={() => setAllParts(!allParts)}>
              {allParts ? notationWords.onePart(partName(notation)) : notationWords.allParts}
            </Button>
          </span>
        )}
      </div>
      {score.unread.length > 0 && (
        <details className={styles.unread}>
          <summary>{notationWords.unreadTitle}</summary>
          <p>{notationWords.unreadLead}</p>
          <ul>
            {score.unread.map(({ bar, what }) => (
              <li key={`${bar} ${what}`}>{notationWords.unread(bar, what)}</li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

const partName = ({ score, partId }: PieceScore): string =>
  score.parts.find(({ id }) => id === partId)?.name ?? "";
