import { Link } from "react-router";
import { useFormats } from "~/components/locale";
import { Empty, Page, Section } from "~/components/page";
import { StateMark } from "~/components/state-mark";
import { daysBetween, type Day } from "~/core/units";
import type { PassageLine } from "~/features/shapes";
import { words } from "~/words";
import { chanceInWords, outlookWords } from "~/words/outlook";
import styles from "./concert.module.css";

const { concert: said } = outlookWords;

interface WeekChance {
  readonly day: Day;
  readonly chance: number;
}

interface PassageChance {
  readonly line: PassageLine;
  readonly target: number;
  readonly practiceDays: number;
  readonly chance: number;
}

export interface ConcertPageProps {
  readonly studioId: string;
  readonly person: { readonly id: string; readonly name: string };
  readonly today: Day;
  readonly concert: { readonly name: string; readonly day: Day } | null;
  /** The chance that everything stands; null where nothing can be told yet. */
  readonly all: number | null;
  readonly pieces: readonly {
    readonly id: string;
    readonly title: string;
    readonly all: number | null;
    readonly unknown: number;
    /** The weakest first. */
    readonly passages: readonly PassageChance[];
    /** How each passage's chance went, by the ends of the weeks before today. */
    readonly weeks: Readonly<Record<string, readonly WeekChance[]>>;
  }[];
}

/** Every passage of a student by its chance to stand at the concert, piece by piece. */
export function ConcertPage({ studioId, person, today, concert, all, pieces }: ConcertPageProps) {
  const formats = useFormats();
  const back = { to: `/studio/${studioId}/students/${person.id}`, label: person.name };
  if (!concert) {
    return (
      <Page title={said.title} back={back}>
        <Empty>{said.none}</Empty>
      </Page>
    );
  }
  const left = daysBetween(today, concert.day);
  return (
    <Page
      title={said.title}
      lead={said.lead(concert.name, formats.longDay(concert.day), left)}
      back={back}
    >
      {all !== null && <p className={styles.all}>{said.all(chanceInWords(all))}</p>}
      {pieces.map((piece) => (
        <Section
          key={piece.id}
          title={piece.title}
          aside={piece.all !== null && said.piece(chanceInWords(piece.all))}
        >
          <ol className={styles.passages} aria-label={said.weakest}>
            {piece.passages.map(({ line, target, practiceDays, chance }) => (
              <li key={line.id}>
                <span>
                  <Link to={`/studio/${studioId}/passages/${line.id}`}>
                    {line.name || words.capital(words.bars(line.fromBar, line.toBar))}
                  </Link>{" "}
                  <StateMark state={line.state} />
                  <span className={styles.soft}>
                    {said.at(formats.whole(target))} · {outlookWords.known(practiceDays)}
                  </span>
                </span>
                <Weeks weeks={[...(piece.weeks[line.id] ?? []), { day: today, chance }]} />
                <strong>{chanceInWords(chance)}</strong>
              </li>
            ))}
          </ol>
          {piece.unknown > 0 && <p className={styles.soft}>{said.unknown(piece.unknown)}</p>}
        </Section>
      ))}
      <p className={styles.soft}>{said.how}</p>
    </Page>
  );
}

/** A chance week by week, today's last: a row of columns, and in words for who can't see it. */
function Weeks({ weeks }: { readonly weeks: readonly WeekChance[] }) {
  const formats = useFormats();
  const [first] = weeks;
  const last = weeks.at(-1)!;
  const told =
    weeks.length > 1 && first
      ? said.went(
          formats.shortDay(first.day),
          chanceInWords(first.chance),
          chanceInWords(last.chance),
        )
      : said.now(chanceInWords(last.chance));
  return (
    <span className={styles.weeks} role="img" aria-label={told} title={told}>
      {weeks.map(({ day, chance }) => (
        <span key={day} style={{ height: `${Math.max(4, Math.round(100 * chance))}%` }} />
      ))}
    </span>
  );
}
