import { Link } from "react-router";
import { BeatUnitGlyph } from "~/components/beat-unit";
import { Empty, Page, Section } from "~/components/page";
import type { RehearsalBar, RehearsalRun } from "~/core/judge";
import type { BeatUnit } from "~/core/units";
import { words } from "~/words";
import { groupWords } from "~/words/groups";
import styles from "./rehearsal.module.css";

const { rehearsal: said } = groupWords;

export interface RehearsalProps {
  readonly studioId: string;
  readonly group: { readonly id: string; readonly name: string; readonly members: number };
  readonly pieces: readonly {
    readonly id: string;
    readonly title: string;
    readonly played: number;
  }[];
  readonly piece:
    | {
        readonly id: string;
        readonly title: string;
        readonly unit: BeatUnit;
        readonly mark: number;
      }
    | undefined;
  readonly players?: number;
  readonly bars: readonly RehearsalBar[];
  readonly runs: readonly RehearsalRun[];
  readonly questions: readonly {
    readonly id: string;
    readonly name: string;
    readonly text: string;
    readonly bars: { readonly fromBar: number; readonly toBar: number } | undefined;
  }[];
}

const rounded = ({ low, value, high }: NonNullable<RehearsalBar["together"]>) =>
  said.together(Math.round(value), Math.round(low), Math.round(high));

/** What to rehearse of a piece, read off before the rehearsal. */
export function Rehearsal(props: RehearsalProps) {
  const { studioId, group, pieces, piece, players = 0, bars, runs } = props;
  const here = `/studio/${studioId}/groups/${group.id}`;
  return (
    <Page
      title={piece ? `${said.title}: ${piece.title}` : said.title}
      lead={piece ? said.lead(players, group.members) : undefined}
      back={{ to: here, label: group.name }}
    >
      {!piece && <Empty>{said.nothing}</Empty>}
      {piece && (
        <>
          <nav aria-label={said.piece} className={styles.pieces}>
            {pieces
              .filter(({ played }) => played > 0)
              .map(({ id, title }) => (
                <Link
                  key={id}
                  to={`${here}/rehearsal?piece=${id}`}
                  aria-current={id === piece.id ? "page" : undefined}
                >
                  {title}
                </Link>
              ))}
          </nav>
          <BarChart bars={bars} runs={runs} />
          <div className={styles.columns}>
            <Section title={said.toRehearse}>
              {runs.length === 0 && <p>{said.fine}</p>}
              <ol className={styles.runs}>
                {runs.map((run) => (
                  <Run key={run.fromBar} run={run} unit={piece.unit} />
                ))}
              </ol>
              <p className={styles.soft}>
                <BeatUnitGlyph unit={piece.unit} /> {said.asMarked(Math.round(piece.mark))}
              </p>
            </Section>
            <Questions questions={props.questions} />
          </div>
          <p className={styles.soft}>{said.how}</p>
        </>
      )}
    </Page>
  );
}

function Run({ run, unit }: { readonly run: RehearsalRun; readonly unit: BeatUnit }) {
  const { fromBar, toBar, worst, together } = run;
  const single = fromBar === toBar;
  return (
    <li>
      <strong>{words.capital(words.bars(fromBar, toBar))}</strong>
      <span>{said.fails(worst.failing, worst.told, worst.bar, single)}</span>
      {together && (
        <span>
          <BeatUnitGlyph unit={unit} /> {rounded(together)}
        </span>
      )}
    </li>
  );
}

function Questions({ questions }: Pick<RehearsalProps, "questions">) {
  return (
    <Section title={said.questions}>
      {questions.length === 0 ? (
        <p className={styles.soft}>{said.noQuestions}</p>
      ) : (
        <ul className={styles.questions}>
          {questions.map(({ id, name, text, bars }) => (
            <li key={id}>
              <strong>{bars ? words.bars(bars.fromBar, bars.toBar) : said.anywhere}</strong>
              <span>
                {text} <span className={styles.soft}>{name}</span>
              </span>
            </li>
          ))}
        </ul>
      )}
    </Section>
  );
}

const TALL = 84;
const NAMED_EVERY = 4;

/** The piece as a row of bars, each as high as the share for whom it fails. */
function BarChart({ bars, runs }: Pick<RehearsalProps, "bars" | "runs">) {
  const inRun = (bar: number) => runs.some(({ fromBar, toBar }) => fromBar <= bar && bar <= toBar);
  return (
    <figure className={styles.chart}>
      <figcaption>{said.chart}</figcaption>
      <div className={styles.scroll} role="group" aria-label={said.chart} tabIndex={0}>
        <ol className={styles.bars}>
          {bars.map(({ bar, told, failing, together }) => {
            const share = told === 0 ? 0 : failing / told;
            const tempo = together ? String(Math.round(together.value)) : "";
            const sentence = told === 0 ? said.untold(bar) : said.bar(bar, failing, told, tempo);
            const look = told === 0 ? styles.untold : inRun(bar) ? styles.rehearse : styles.some;
            return (
              <li key={bar} title={sentence}>
                <span className={styles.count}>{failing > 0 && failing}</span>
                <span
                  className={look}
                  style={{ height: told === 0 ? 6 : Math.max(2, TALL * share) }}
                />
                <span className={styles.number}>
                  {bar === 1 || bar % NAMED_EVERY === 0 ? bar : ""}
                </span>
                <span className="sr-only">{sentence}</span>
              </li>
            );
          })}
        </ol>
      </div>
    </figure>
  );
}
