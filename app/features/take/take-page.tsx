import Button from "@mui/material/Button";
import { Form, Link } from "react-router";
import { TempoText } from "~/components/beat-unit";
import { useFormats } from "~/components/locale";
import { Page, Section } from "~/components/page";
import { useAlive } from "~/components/alive";
import type { Ear } from "~/core/judge";
import type { Take } from "~/core/listen";
import { daysBetween, type BeatUnit, type Day } from "~/core/units";
import { words } from "~/words";
import { listenWords as said } from "~/words/listen";
import { ANSWER, COMMENT_BAR, COMMENT_TEXT } from "./desk-ids";
import { HandIn } from "./hand-in";
import type { AsksForTake, HandedIn } from "./hand-in-shapes";
import { Heard, SayHeard } from "./heard";
import { Listening, Opening, type DeskKeys } from "./listening";
import { TakeList } from "./take-list";
import type { TakeOfList } from "./take-shapes";
import styles from "./take.module.css";

/** So many of the latest are offered to be put beside it. */
const MOST_BESIDE = 4;

export interface TakePageProps {
  readonly studioId: string;
  readonly today: Day;
  readonly take: TakeOfList & {
    readonly about: Take;
    readonly verdict: "clean" | "flawed" | null;
    readonly flawBar: number | null;
  };
  readonly person: { readonly id: string; readonly name: string };
  readonly passage: {
    readonly id: string;
    readonly title: string;
    readonly name: string;
    /** Where the notes of its piece are had, if it has any. */
    readonly notes: string | undefined;
    readonly beatUnit: BeatUnit;
  };
  readonly others: readonly TakeOfList[];
  /** Another take of the same bars, to be heard against it. */
  readonly beside: (TakeOfList & { readonly about: Take }) | undefined;
  readonly used: number;
  readonly teaches: boolean;
  /** A parent who may listen, and changes nothing. */
  readonly looksOnly: boolean;
  /** Parents may listen. */
  readonly parents: boolean;
  readonly asks: readonly AsksForTake[];
  readonly handedIn: readonly HandedIn[];
  readonly ratings: readonly string[];
  readonly refusal: string | undefined;
  /** The bars in which whoever is here heard a flaw, once they have said it. */
  readonly heard: { readonly flawed: readonly number[] } | undefined;
  readonly ear: Ear;
  readonly most: number;
}

/** A take, to be listened to bar by bar. */
export function TakePage(props: TakePageProps) {
  const { studioId, today, take, person, passage, others, used, most, heard, ear } = props;
  const formats = useFormats();
  const { about } = take;
  const bars = words.bars(take.fromBar, take.toBar);
  const left = daysBetween(today, take.keptUntil);
  return (
    <Page
      title={said.of(bars)}
      lead={
        <>
          {props.teaches && `${person.name} · `}
          {passage.title}
          {passage.name && `, ${passage.name}`} ·{" "}
          <TempoText unit={passage.beatUnit} bpm={take.tempo} /> · {formats.moment(take.at)}
        </>
      }
      back={{
        to: `/studio/${studioId}/passages/${passage.id}`,
        label: passage.name || passage.title,
      }}
    >
      <Section title={said.title}>
        <ToHear {...props} />
        <p className={styles.soft}>
          {said.placed[about.placedBy]} {about.gaps && said.gaps} {about.cutOff && said.cutOff}
        </p>
      </Section>
      {!props.looksOnly && (
        <Section title={said.hearTitle}>
          {heard ? (
            <Heard flawed={heard.flawed} verdict={take.verdict} flawBar={take.flawBar} ear={ear} />
          ) : (
            <SayHeard bars={[...new Set(about.bars.map(({ bar }) => bar))]} />
          )}
        </Section>
      )}
      <Section title={said.handIn.title}>
        <HandIn
          address={`/studio/${studioId}/recordings/${take.id}`}
          ratings={props.ratings}
          asks={props.looksOnly ? [] : props.asks}
          handedIn={props.handedIn}
          bars={[...new Set(about.bars.map(({ bar }) => bar))]}
          teaches={props.teaches}
          refusal={props.refusal}
        />
      </Section>
      {others.length > 0 && (
        <Section title={said.others}>
          <TakeList studioId={studioId} takes={others} />
        </Section>
      )}
      <footer className={styles.foot}>
        <p className={styles.soft}>
          {props.parents ? said.privacyWithParents : said.privacy}{" "}
          {left <= 1 ? said.goesTomorrow : said.keptUntil(formats.longDay(take.keptUntil))}{" "}
          {said.used(person.name, used, most)}
        </p>
        {!props.looksOnly && (
          <>
            <Form method="post">
              <input type="hidden" name="may" value={props.parents ? "no" : "yes"} />
              <Button type="submit" name="what" value="leave">
                {props.parents ? said.parentsMayNot : said.parentsMay}
              </Button>
            </Form>
            <details>
              <summary>{said.removing}</summary>
              <Form method="post" className={styles.remove}>
                <p className={styles.soft}>{said.removed}</p>
                <Button type="submit" name="what" value="one" color="error" variant="outlined">
                  {said.remove}
                </Button>
                <Button type="submit" name="what" value="all" color="error">
                  {said.removeAll(person.name)}
                </Button>
              </Form>
            </details>
          </>
        )}
      </footer>
    </Page>
  );
}

/** The take, alone or with another of the same bars beside it. */
function ToHear(props: TakePageProps) {
  const { studioId, take, beside, others, passage } = props;
  const formats = useFormats();
  const alive = useAlive();
  if (!alive) return <Opening notes={passage.notes !== undefined} />;
  const heard = beside ? [take, beside] : [take];
  const named = ({ tempo, at }: TakeOfList) =>
    said.besideLine(formats.tenth(tempo), formats.moment(at));
  const here = `/studio/${studioId}/recordings/${take.id}`;
  const sameBars = others.filter(
    ({ fromBar, toBar }) => fromBar === take.fromBar && toBar === take.toBar,
  );
  return (
    <>
      <Listening
        key={heard.map(({ id }) => id).join()}
        takes={heard.map((each) => ({
          url: `/studio/${studioId}/recordings/${each.id}/sound`,
          about: each.about,
          name: named(each),
        }))}
        notes={passage.notes}
        desk={deskKeys(props)}
      />
      {beside ? (
        <p>
          <Link to={here} preventScrollReset>
            {said.alone}
          </Link>
        </p>
      ) : (
        sameBars.length > 0 && (
          <p className={styles.beside}>
            {said.beside}{" "}
            {sameBars.slice(0, MOST_BESIDE).map((each) => (
              <Link key={each.id} to={`${here}?beside=${each.id}`} preventScrollReset>
                {named(each)}
              </Link>
            ))}
          </p>
        )
      )}
    </>
  );
}

/** The keys by which a teacher goes through what was handed in, from take to take. */
function deskKeys({ teaches, take, handedIn }: TakePageProps): DeskKeys | undefined {
  const [first] = handedIn;
  if (!teaches || !first) return undefined;
  const at = (id: string) => document.getElementById(id);
  return {
    on: `${take.id} ${first.comments.length}`,
    keys: {
      c: (bar) => {
        const choice = at(COMMENT_BAR);
        if (choice instanceof HTMLSelectElement && bar !== undefined) choice.value = String(bar);
        at(COMMENT_TEXT)?.focus();
      },
      h: () => at(ANSWER.heard)?.click(),
      a: () => at(ANSWER.again)?.click(),
    },
  };
}
