import Button from "@mui/material/Button";
import { lazy, useState } from "react";
import { Link, useFetcher } from "react-router";
import { TempoText } from "~/components/beat-unit";
import { Later } from "~/components/later";
import { Page, Section } from "~/components/page";
import { StateMark } from "~/components/state-mark";
import type { BeatRange } from "~/components/use-bar-selection";
import { whenQuiet } from "~/components/when-quiet";
import type { PassageNotes } from "~/core/score";
import type { PassageLine } from "~/features/shapes";
import { words } from "~/words";
import { heartWords } from "~/words/by-heart";
import { demonstrationWords } from "~/words/demonstrations";
import { notationWords } from "~/words/notation";
import { CutForm } from "./cut-form";
import { MusicSection } from "./music-section";
import type { PiecePageProps, PieceScore } from "./piece-page-props";
import { PutAway } from "./put-away";
import { StateChoice } from "./state-choice";
import styles from "./piece.module.css";

const TempoSection = lazy(async () => {
  await whenQuiet();
  const { TempoSection: section } = await import("~/features/tempo/tempo-section");
  return { default: section };
});
// Fields and pickers below the music weigh more than all above them: the music does not wait for them.
const TeachersSections = lazy(async () => {
  await whenQuiet();
  return import("./teachers-sections");
});

/** The piece as a ribbon of bars: drag over it to cut a passage. */
export function PiecePage(props: PiecePageProps) {
  const { studioId, person, piece, passages, refused } = props;
  const typed = refused?.values.fromBar
    ? {
        fromBar: Number(refused.values.fromBar),
        toBar: Number(refused.values.toBar),
        pickupBeats: Number(refused.values.pickupBeats ?? 0),
        startBeats: Number(refused.values.startBeats ?? 0),
        endBeats: Number(refused.values.endBeats ?? 0),
      }
    : undefined;
  const teaches = props.role === "teacher";
  const here = `/studio/${studioId}/students/${person.id}/pieces/${piece.id}`;
  const [selection, setSelection] = useState<BeatRange | undefined>(typed);
  return (
    <Page
      title={piece.title}
      back={{ to: `/studio/${studioId}/students/${person.id}`, label: person.name }}
      actions={
        <>
          <Button component={Link} to={`${here}/by-heart`} variant="outlined">
            {heartWords.open}
          </Button>
          <Button component={Link} to={`${here}/demonstrations`} variant="outlined">
            {demonstrationWords.open}
          </Button>
          {teaches && (
            <Button component={Link} to={`${here}/edit`} variant="outlined">
              {words.student.editPiece}
            </Button>
          )}
        </>
      }
      lead={
        <>
          {[piece.origin, words.barCount(piece.bars)].filter(Boolean).join(" · ")} ·{" "}
          <TempoText unit={piece.markUnit} bpm={piece.markBpm} />
        </>
      }
    >
      <MusicSection page={props} selection={selection} onSelect={setSelection} />
      {teaches && selection ? (
        <CutForm
          piece={piece}
          selection={selection}
          onChange={setSelection}
          notes={notesToChoose(props.notation)}
          score={props.notation?.score}
          refused={refused}
        />
      ) : (
        teaches &&
        passages.length === 0 &&
        props.paper?.layout.length !== 0 && <p className={styles.hint}>{words.piece.firstCut}</p>
      )}
      <Later fallback={teaches ? <div className={styles.tempoLater} /> : null}>
        <TempoSection
          piece={piece}
          tempi={props.tempi}
          teaches={teaches}
          moved={teaches ? props.movedLadders : []}
        />
      </Later>
      {passages.length > 0 && (
        <Section title={words.piece.passages}>
          <ul className={styles.passages}>
            {passages.map((passage) => (
              <PassageLineItem
                key={passage.id}
                studioId={studioId}
                passage={passage}
                teaches={teaches}
              />
            ))}
          </ul>
        </Section>
      )}
      {teaches && <PutAway studioId={studioId} putAway={props.putAway} piece={here} />}
      {teaches && (
        <Later fallback={<div className={styles.later} />}>
          <TeachersSections {...props} />
        </Later>
      )}
    </Page>
  );
}

/** Hands where the student's part has two staves, voices where a staff has two. */
function notesToChoose(notation: PieceScore | undefined): PassageNotes[] {
  const part = notation?.score.parts.find(({ id }) => id === notation.partId);
  if (!part) return [];
  return [
    ...(part.staves === 2 ? (["upper", "lower"] as const) : []),
    ...(part.voices > 1 ? (["voice-1", "voice-2"] as const) : []),
  ];
}

interface PassageLineItemProps {
  readonly studioId: string;
  readonly passage: PassageLine;
  readonly teaches: boolean;
}

function PassageLineItem({ studioId, passage, teaches }: PassageLineItemProps) {
  const fetcher = useFetcher();
  const here = `/studio/${studioId}/passages/${passage.id}`;
  const bars = words.bars(passage.fromBar, passage.toBar);
  return (
    <li className={styles.passage}>
      <span>
        <Link to={here}>{passage.name || words.capital(bars)}</Link>{" "}
        <span className={styles.soft}>{passage.name && bars}</span>
      </span>
      <StateMark state={passage.state} />
      {teaches && <StateChoice passage={passage} />}
      <span className={styles.soft}>
        {[
          passage.withRepeats && notationWords.playedWithRepeats,
          passage.focus,
          passage.given && words.piece.givenFrom(passage.given.changed),
        ]
          .filter(Boolean)
          .join(" · ")}
      </span>
      {teaches && (
        <fetcher.Form method="post" className={styles.push}>
          <input type="hidden" name="passage" value={passage.id} />
          <Button type="submit" name="act" value="retire" color="inherit" size="small">
            {words.piece.retire}
          </Button>
          <Button component={Link} to={`${here}/ladder`} variant="outlined" size="small">
            {passage.target === null ? words.student.setLadder : words.student.ladder}
          </Button>
        </fetcher.Form>
      )}
    </li>
  );
}
