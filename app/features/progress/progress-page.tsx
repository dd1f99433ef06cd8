import Button from "@mui/material/Button";
import type { Ear } from "~/core/judge";
import { lazy, Suspense } from "react";
import { Link } from "react-router";
import { useAlive } from "~/components/alive";
import { BarRibbon } from "~/components/bar-ribbon";
import { TempoText } from "~/components/beat-unit";
import { Empty, Page, Section } from "~/components/page";
import { StateMark } from "~/components/state-mark";
import type { Turn } from "~/core/ladder";
import type { MetreRegion } from "~/core/score";
import type { PassageOutlook, Span } from "~/core/record";
import type { BeatUnit, Day } from "~/core/units";
import { useFormats } from "~/components/locale";
import { PractiseNow } from "~/components/practise-now";
import { PutBack } from "~/components/put-back";
import type { PassageDay, PassageLine } from "~/features/shapes";
import { EarTold } from "~/features/take/heard";
import { TakeList } from "~/features/take/take-list";
import type { TakeOfList } from "~/features/take/take-shapes";
import { words } from "~/words";
import { listenWords } from "~/words/listen";
import { outlookWords } from "~/words/outlook";
import { trackWords } from "~/words/track";
import { DayRows } from "./day-rows";
import { KeyRows } from "./key-rows";
import { Turns } from "./turns";
import type { PlaysAtTempo } from "./tempo-chart";
import { Outlook } from "./outlook";
import styles from "./progress.module.css";

export interface ProgressPageProps {
  readonly studioId: string;
  readonly teaches: boolean;
  readonly looksOnly: boolean;
  readonly takes: readonly TakeOfList[];
  readonly ear: Ear;
  readonly today: Day;
  readonly person: { readonly id: string; readonly name: string };
  readonly piece: {
    readonly title: string;
    readonly bars: number;
    readonly metres: readonly MetreRegion[];
    readonly markUnit: BeatUnit;
  };
  readonly passage: PassageLine;
  /** The day on which it was taken off the stand. */
  readonly offSince: Day | null;
  /** Where it stands today; undefined before it was played. */
  readonly now:
    | {
        readonly comfortable: Span;
        readonly ceiling: number | null;
        /** No tempo above it is called comfortable. */
        readonly most: number | null;
      }
    | undefined;
  readonly outlook: PassageOutlook | undefined;
  readonly concertName: string;
  readonly hurts: boolean;
  readonly changed: { readonly is: number; readonly was: number } | undefined;
  readonly days: readonly PassageDay[];
  readonly turns: readonly Turn[];
  readonly plays: readonly PlaysAtTempo[] | undefined;
  readonly keys: Parameters<typeof KeyRows>[0]["keys"];
  readonly flaws: Readonly<Record<number, number>>;
}

/** Drawn in the browser only: the chart library renders nothing on the server. */
const TempoChart = lazy(() => import("./tempo-chart"));

/** What can be done with a passage that is on the stand. */
function Acts({ studioId, teaches, looksOnly, person, passage }: ProgressPageProps) {
  const here = `/studio/${studioId}/passages/${passage.id}`;
  return (
    <>
      {teaches && (
        <Button component={Link} to={`${here}/ladder`} variant="outlined">
          {passage.target === null ? words.student.setLadder : words.progress.ladder}
        </Button>
      )}
      {!looksOnly && passage.target !== null && (
        <>
          <Button component={Link} to={`${here}/track`} variant="outlined">
            {trackWords.open}
          </Button>
          <PractiseNow home={`/studio/${studioId}/students/${person.id}`} passage={passage} />
        </>
      )}
    </>
  );
}

/** A passage over days: tempo reached, comfortable tempo with its uncertainty, ceiling. */
export function ProgressPage(props: ProgressPageProps) {
  const { studioId, today, person, piece, passage, days, keys, flaws, outlook, offSince } = props;
  const inBrowser = useAlive();
  const bars = words.bars(passage.fromBar, passage.toBar);
  const formats = useFormats();
  const home = `/studio/${studioId}/students/${person.id}`;
  const back = { piece: `${home}/pieces/${passage.pieceId}`, passageId: passage.id };
  return (
    <Page
      title={passage.name || words.capital(bars)}
      lead={
        <>
          {piece.title}, {bars}
          {passage.focus && ` · ${passage.focus}`} · <StateMark state={passage.state} />
          {offSince && ` · ${words.piece.offSince(formats.shortDay(offSince))}`}
        </>
      }
      back={{ to: home, label: person.name }}
      actions={offSince ? props.teaches && <PutBack {...back} /> : <Acts {...props} />}
    >
      {days.length === 0 ? (
        <Section title={words.progress.chart}>
          <Empty>{words.progress.empty}</Empty>
        </Section>
      ) : (
        <>
          <Section
            title={words.progress.chart}
            aside={
              passage.target !== null && (
                <span>
                  {words.progress.target} <TempoText unit={piece.markUnit} bpm={passage.target} />
                </span>
              )
            }
          >
            <div className={styles.chart}>
              {inBrowser && (
                <Suspense>
                  <TempoChart
                    days={days}
                    today={today}
                    target={passage.target ?? undefined}
                    fan={outlook?.fan ?? []}
                    date={outlook?.dates.at(-1)?.day}
                    turns={props.turns}
                    plays={props.plays ?? []}
                  />
                </Suspense>
              )}
            </div>
            <ul className={styles.legend} aria-hidden>
              <li className={styles.reached}>{words.progress.reached}</li>
              <li className={styles.comfortable}>{words.progress.comfortable}</li>
              <li className={styles.span}>{words.progress.span}</li>
              <li className={styles.ceiling}>{words.progress.ceiling}</li>
              {outlook && outlook.fan.length > 0 && (
                <li className={styles.fan}>{outlookWords.fan}</li>
              )}
            </ul>
            <Link
              to={props.plays ? "." : "?plays"}
              replace
              preventScrollReset
              className={styles.behind}
            >
              {props.plays ? words.progress.hidePlays : words.progress.showPlays}
            </Link>
            {props.plays && <p className={styles.soft}>{words.progress.playsTold}</p>}
            <Turns turns={props.turns} />
            {props.now && <Now {...props.now} inKey={passage.inKey} />}
            <p className={styles.soft}>
              {words.progress.explain}{" "}
              <Link to={`/studio/${studioId}/passages/${passage.id}/how-sure`}>
                {outlookWords.how}
              </Link>
            </p>
          </Section>
          {outlook && (
            <Outlook
              outlook={outlook}
              concertName={props.concertName}
              hurts={props.hurts}
              home={`/studio/${studioId}/students/${person.id}`}
              pieceId={passage.pieceId}
              teaches={props.teaches}
              changed={props.changed}
            />
          )}
          {!props.looksOnly && (
            <Section title={listenWords.takes}>
              {props.takes.length === 0 ? (
                <p className={styles.soft}>{listenWords.takesEmpty}</p>
              ) : (
                <TakeList studioId={studioId} takes={props.takes} />
              )}
              <EarTold ear={props.ear} />
            </Section>
          )}
          <Section title={words.progress.where}>
            <BarRibbon
              bars={passage.toBar - passage.fromBar + 1}
              firstBar={passage.fromBar}
              metres={piece.metres}
              flaws={flaws}
            />
          </Section>
          {keys.length > 0 && (
            <Section title={words.progress.byKey}>
              <KeyRows keys={keys} />
            </Section>
          )}
          <Section title={words.progress.days}>
            <DayRows days={days} />
          </Section>
        </>
      )}
    </Page>
  );
}

/** Where a passage stands today, in one sentence. */
function Now({
  comfortable,
  ceiling,
  most,
  inKey,
}: NonNullable<ProgressPageProps["now"]> & { readonly inKey: string | null }) {
  const { value, low, high } = comfortable;
  const held = most !== null && high >= most;
  const ceilingTold =
    ceiling === null ? outlookWords.notMet : outlookWords.ceilingAround(Math.round(ceiling));
  const [at, from, to] = [value, low, high].map(Math.round) as [number, number, number];
  return (
    <p className={styles.now}>
      {inKey && `${outlookWords.thisWeekIn(inKey)} `}
      {outlookWords.comfortableAt(at, from, to, held)}, {ceilingTold}.
    </p>
  );
}
