import Button from "@mui/material/Button";
import { useState } from "react";
import { BarRibbon, type RibbonPassage } from "~/components/bar-ribbon";
import { Section } from "~/components/page";
import { wholeBars, type BarRange, type BeatRange } from "~/components/use-bar-selection";
import { words } from "~/words";
import { notationWords } from "~/words/notation";
import type { BarsChosen } from "./bars-chosen";
import type { PiecePageProps } from "./piece-page-props";
import { FileForm } from "./file-form";
import { FlawsLine } from "./flaws-line";
import { PaperShown } from "./paper-shown";
import { Proposals } from "./proposals";
import { ScoreMap } from "./score-map";
import { ScoreShown } from "./score-shown";
import { TroubleBar } from "./trouble-bar";
import { useTrouble } from "./use-trouble";
import styles from "./piece.module.css";

interface MusicSectionProps {
  readonly page: PiecePageProps;
  readonly selection: BeatRange | undefined;
  readonly onSelect: (range: BeatRange) => void;
}

const nothing = () => undefined;

/** The bars of a piece: its notes where it has any, its ribbon of bars otherwise. */
export function MusicSection({ page, selection, onSelect }: MusicSectionProps) {
  const { piece, flaws, notation, paper } = page;
  const passages = page.passages.map(({ id, name, fromBar, toBar, state }): RibbonPassage => ({
    id,
    fromBar,
    toBar,
    state,
    label: name || `${fromBar}–${toBar}`,
  }));
  const teaches = page.role === "teacher";
  const undrawn = paper?.layout.length === 0;
  const trouble = useTrouble(page.marks);
  const { marking, pending, setPending, touch, marks } = trouble;
  const [byNotes, setByNotes] = useState(false);
  const range = marking ? pending && wholeBars(pending) : selection;
  const chosen: BarsChosen = {
    passages,
    marks,
    piece,
    selection: range,
    // Only what can be cut or marked is chosen.
    onSelect: marking ? setPending : teaches ? onSelect : nothing,
    byNotes: byNotes && !marking,
    edges: teaches && !marking,
  };
  const selectBars = (bars: BarRange) => chosen.onSelect(wholeBars(bars));
  const touched = ({ key }: { readonly key: string }) => {
    if (marking && (key === "Enter" || key === " ")) touch();
  };
  return (
    <Section
      title={words.piece.bars}
      aside={teaches && !undrawn && <span className={styles.soft}>{words.piece.how}</span>}
    >
      {!undrawn && page.role !== "parent" && (
        <TroubleBar
          trouble={trouble}
          aside={
            teaches &&
            notation && (
              <Button size="small" aria-pressed={byNotes} onClick={() => setByNotes(!byNotes)}>
                {byNotes ? notationWords.byBars : notationWords.byNotes}
              </Button>
            )
          }
        />
      )}
      {notation && page.profile.length > 0 && (
        <ScoreMap score={notation.score} profile={page.profile} />
      )}
      <div onPointerUp={marking ? touch : undefined} onKeyUp={touched}>
        {notation ? (
          <ScoreShown page={page} notation={notation} {...chosen} />
        ) : paper ? (
          <PaperShown page={page} paper={paper} {...chosen} />
        ) : (
          <BarRibbon
            bars={piece.bars}
            metres={piece.metres}
            pickupBeats={piece.pickupBeats}
            flaws={flaws}
            passages={passages}
            marks={marks}
            selection={range}
            onSelect={selectBars}
          />
        )}
      </div>
      {page.passages.length > 0 && (
        <FlawsLine
          flaws={flaws}
          beats={page.flawBeats}
          days={page.flawDays}
          bars={piece.bars}
          onChoose={teaches ? selectBars : undefined}
        />
      )}
      {teaches && (
        <Proposals
          marks={marks}
          profile={page.profile}
          passages={page.passages}
          onChange={selectBars}
        />
      )}
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
      {teaches && (
        <details
          className={styles.unread}
          open={page.refused?.errors.file !== undefined || undefined}
        >
          <summary>
            {notation
              ? notationWords.newEdition
              : paper
                ? notationWords.pages.replace
                : notationWords.fromFile}
          </summary>
          <FileForm
            refused={page.refused}
            submit={
              notation
                ? notationWords.replace
                : paper
                  ? notationWords.pages.replaceNow
                  : notationWords.layOut
            }
            forPiece
          />
        </details>
      )}
    </Section>
  );
}
