import Button from "@mui/material/Button";
import { Play, Plus } from "lucide-react";
import { Link } from "react-router";
import { TempoText } from "~/components/beat-unit";
import { Empty, Page, Section } from "~/components/page";
import type { Day } from "~/core/units";
import { AdviceList } from "~/features/advice/advice-list";
import type { AdviceShown, ForToday } from "~/features/advice/advice-shapes";
import { AdviceRules, type AdviceRulesProps } from "~/features/advice/advice-rules";
import { Questions, type WaitingQuestion } from "~/features/questions/questions";
import { SessionList } from "~/features/progress/session-list";
import type { LogEntry, PassageLine } from "~/features/shapes";
import { words } from "~/words";
import { changeWords } from "~/words/change-week";
import { outlookWords } from "~/words/outlook";
import { planWords } from "~/words/plan";
import { DemoPieceButton } from "./demo-piece-button";
import { PassageRow } from "./passage-row";
import styles from "./student.module.css";

interface PieceLine {
  readonly id: string;
  readonly title: string;
  readonly origin: string;
  readonly bars: number;
  readonly markBpm: number;
  readonly markUnit: Parameters<typeof TempoText>[0]["unit"];
}

export interface StudentPageProps {
  readonly studioId: string;
  readonly today: Day;
  readonly person: { readonly id: string; readonly name: string; readonly instrument: string };
  readonly teaches: boolean;
  /** Whoever is here teaches themself. */
  readonly self: boolean;
  readonly looksOnly: boolean;
  readonly questions: readonly WaitingQuestion[];
  readonly hurts: boolean;
  readonly advice: readonly AdviceShown[];
  readonly forToday: readonly ForToday[];
  readonly sees: AdviceRulesProps["sees"];
  readonly off: Parameters<typeof AdviceRules>[0]["off"];
  readonly pieces: readonly PieceLine[];
  readonly passages: readonly PassageLine[];
  readonly log: readonly LogEntry[];
}

/** A student's pieces with their passages: state, tempo now and target; and the latest sessions. */
export function StudentPage(props: StudentPageProps) {
  const { studioId, today, person, pieces, passages, log, teaches, looksOnly } = props;
  const here = `/studio/${studioId}/students/${person.id}`;
  const addPiece = (
    <Button
      component={Link}
      to={`${here}/pieces/new`}
      variant={pieces.length > 0 ? "outlined" : "contained"}
      startIcon={<Plus size={18} />}
    >
      {words.student.addPiece}
    </Button>
  );
  return (
    <Page
      title={person.name}
      lead={person.instrument}
      back={teaches ? { to: `/studio/${studioId}`, label: words.desk.week } : undefined}
      actions={
        <>
          {teaches && (
            <>
              {addPiece}
              <Button component={Link} to={`${here}/access`} variant="outlined">
                {words.student.access}
              </Button>
              <Button component={Link} to={`${here}/week`} variant="outlined">
                {words.student.week}
              </Button>
              <Button component={Link} to={`${here}/week/change`} variant="outlined">
                {changeWords.title}
              </Button>
              <Button
                component={Link}
                to={`${here}/lesson`}
                variant={passages.length > 0 ? "contained" : "outlined"}
              >
                {props.self ? planWords.lesson.ownTitle : words.student.lesson}
              </Button>
            </>
          )}
          {passages.length > 0 && (
            <Button component={Link} to={`${here}/concert`} variant="outlined">
              {outlookWords.concert.open}
            </Button>
          )}
          {!looksOnly && (
            <Button
              component={Link}
              to={`${here}/today`}
              variant={passages.length > 0 && !teaches ? "contained" : "outlined"}
              startIcon={<Play size={18} />}
            >
              {words.student.today}
            </Button>
          )}
        </>
      }
    >
      {teaches && props.questions.length > 0 && (
        <Section title={planWords.questions.title}>
          <Questions home={here} today={today} waiting={props.questions} />
        </Section>
      )}
      {passages.length > 0 && !looksOnly && (
        <>
          <AdviceList {...props} home={here} teaches={teaches} />
          {teaches && <AdviceRules home={here} off={props.off} sees={props.sees} />}
        </>
      )}
      {pieces.length === 0 && (
        <Section title={words.student.pieces}>
          <Empty
            action={
              teaches && (
                <div className={styles.actions}>
                  <DemoPieceButton to={`${here}/pieces/new`} />
                  {addPiece}
                </div>
              )
            }
          >
            {words.student.noPieces}
          </Empty>
        </Section>
      )}
      {pieces.map((piece) => {
        const mine = passages.filter(({ pieceId }) => pieceId === piece.id);
        return (
          <Section
            key={piece.id}
            title={piece.title}
            aside={
              <span className={styles.aside}>
                {[piece.origin, words.barCount(piece.bars)].filter(Boolean).join(" · ")} ·{" "}
                <TempoText unit={piece.markUnit} bpm={piece.markBpm} />
                {" · "}
                <Link to={`${here}/pieces/${piece.id}`}>{words.student.openPiece}</Link>
              </span>
            }
          >
            {mine.length === 0 ? (
              <Empty
                action={
                  teaches && (
                    <Button component={Link} to={`${here}/pieces/${piece.id}`} variant="contained">
                      {words.student.cut}
                    </Button>
                  )
                }
              >
                {words.student.noPassages}
              </Empty>
            ) : (
              <ul className={styles.passages}>
                {mine.map((passage) => (
                  <PassageRow
                    key={passage.id}
                    studioId={studioId}
                    today={today}
                    passage={passage}
                    home={here}
                    teaches={teaches}
                    looksOnly={looksOnly}
                  />
                ))}
              </ul>
            )}
          </Section>
        );
      })}
      {log.length > 0 && (
        <Section
          title={words.student.latest}
          aside={<Link to={`${here}/log`}>{words.student.wholeLog}</Link>}
        >
          <SessionList studioId={studioId} entries={log} />
        </Section>
      )}
      <p className={styles.end}>
        <Link to={`${here}/records`}>
          {teaches ? words.student.records : words.student.recordsOwn}
        </Link>
      </p>
    </Page>
  );
}
