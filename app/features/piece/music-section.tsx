import Button from "@mui/material/Button";
import { lazy, Suspense, useState } from "react";
import { BarRibbon, type RibbonPassage } from "~/components/bar-ribbon";
import { Section } from "~/components/page";
import type { BarRange } from "~/components/use-bar-selection";
import type { BarMarks } from "~/core/score";
import { words } from "~/words";
import { notationWords } from "~/words/notation";
import type { PiecePageProps, PieceScore } from "./piece-page-props";
import { FileForm } from "./file-form";
import { FlawsLine } from "./flaws-line";
import { PartChoice } from "./part-choice";
import { Proposals } from "./proposals";
import { ScoreMap } from "./score-map";
import { TroubleBar } from "./trouble-bar";
import { useTrouble } from "./use-trouble";
import styles from "./piece.module.css";

// What draws notes is loaded where there are notes, and nowhere else.
const Notation = lazy(() =>
  import("~/features/notation/notation").then(({ Notation }) => ({ default: Notation })),
);

interface MusicSectionProps {
  readonly page: PiecePageProps;
  readonly selection: BarRange | undefined;
  readonly onSelect: (range: BarRange) => void;
}

/** The bars of a piece: its notes where it has any, its ribbon of bars otherwise. */
export function MusicSection({ page, selection, onSelect }: MusicSectionProps) {
  const { piece, flaws, notation } = page;
  const passages = page.passages.map(({ id, name, fromBar, toBar, state }): RibbonPassage => ({
    id,
    fromBar,
    toBar,
    state,
    label: name || `${fromBar}–${toBar}`,
  }));
  const trouble = useTrouble(page.marks);
  const { marking, pending, setPending, touch, marks } = trouble;
  const chosen = marking
    ? { selection: pending, onSelect: setPending, marks }
    : { selection, onSelect, marks };
  const touched = ({ key }: { readonly key: string }) => {
    if (marking && (key === "Enter" || key === " ")) touch();
  };
  return (
    <Section
      title={words.piece.bars}
      aside={<span className={styles.soft}>{words.piece.how}</span>}
    >
      <TroubleBar trouble={trouble} />
      {notation && page.profile.length > 0 && (
        <ScoreMap score={notation.score} profile={page.profile} />
      )}
      <div onPointerUp={marking ? touch : undefined} onKeyUp={touched}>
        {notation ? (
          <ScoreShown page={page} notation={notation} passages={passages} {...chosen} />
        ) : (
          <BarRibbon
            bars={piece.bars}
            metres={piece.metres}
            pickupBeats={piece.pickupBeats}
            flaws={flaws}
            passages={passages}
            {...chosen}
          />
        )}
      </div>
      {page.passages.length > 0 && (
        <FlawsLine flaws={flaws} days={page.flawDays} bars={piece.bars} onChoose={onSelect} />
      )}
      <Proposals
        marks={marks}
        profile={page.profile}
        passages={page.passages}
        onChange={onSelect}
      />
      {page.renumbered.length > 0 && (
        <div role="status" className={styles.hint}>
          {notationWords.renumbered}
          <ul>
            {page.renumbered.map(({ bar, was, is }) => (
              <li key={bar}>{notationWords.renumberedBar(bar, was, is)}</li>
            ))}
          </ul>
        </div>
      )}
      <details
        className={styles.unread}
        open={page.refused?.errors.file !== undefined || undefined}
      >
        <summary>{notation ? notationWords.newEdition : notationWords.fromFile}</summary>
        <FileForm
          refused={page.refused}
          submit={notation ? notationWords.replace : notationWords.layOut}
          forPiece
        />
      </details>
    </Section>
  );
}

interface ScoreShownProps {
  readonly page: PiecePageProps;
  readonly notation: PieceScore;
  readonly passages: readonly RibbonPassage[];
  readonly marks: BarMarks;
  readonly selection: BarRange | undefined;
  readonly onSelect: (range: BarRange) => void;
}

function ScoreShown(props: ScoreShownProps) {
  const { page, notation, passages, marks, selection, onSelect } = props;
  const { studioId, person, piece, flaws } = page;
  const { score, partId, fileName } = notation;
  const [allParts, setAllParts] = useState(false);
  const here = `/studio/${studioId}/students/${person.id}/pieces/${piece.id}`;
  return (
    <>
      <Suspense fallback={<p className={styles.hint}>{notationWords.coming}</p>}>
        <Notation
          address={`${here}/notation?${allParts ? "all=1" : `part=${encodeURIComponent(partId)}`}`}
          score={score}
          partId={partId}
          passages={passages}
          flaws={flaws}
          marks={marks}
          selection={selection}
          onSelect={onSelect}
        />
      </Suspense>
      <div className={styles.source}>
        <span>
          {notationWords.from(fileName)} ·{" "}
          <a href={`${here}/score-file`}>{notationWords.original}</a>
        </span>
        {score.parts.length > 1 && (
          <span className={styles.parts}>
            <PartChoice parts={score.parts} partId={partId} />
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
