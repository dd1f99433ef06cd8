import Button from "@mui/material/Button";
import { Form } from "react-router";
import { TempoText } from "~/components/beat-unit";
import { useFormats } from "~/components/locale";
import { Page, Section } from "~/components/page";
import { useAlive } from "~/components/alive";
import type { Take } from "~/core/listen";
import { daysBetween, type BeatUnit, type Day } from "~/core/units";
import { words } from "~/words";
import { listenWords as said } from "~/words/listen";
import { HandIn } from "./hand-in";
import type { AsksForTake, HandedIn } from "./hand-in-shapes";
import { Heard, SayHeard, type EarCounts } from "./heard";
import { Listening } from "./listening";
import { TakeList } from "./take-list";
import type { TakeOfList } from "./take-shapes";
import styles from "./take.module.css";

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
    readonly beatUnit: BeatUnit;
  };
  readonly others: readonly TakeOfList[];
  readonly used: number;
  readonly teaches: boolean;
  /** A parent who may listen, and changes nothing. */
  readonly looksOnly: boolean;
  /** Parents may listen. */
  readonly parents: boolean;
  readonly asks: readonly AsksForTake[];
  readonly handedIn: readonly HandedIn[];
  readonly refusal: string | undefined;
  /** The bars in which whoever is here heard a flaw, once they have said it. */
  readonly heard: { readonly flawed: readonly number[] } | undefined;
  readonly ear: EarCounts;
  readonly most: number;
}

/** A take, to be listened to bar by bar. */
export function TakePage(props: TakePageProps) {
  const { studioId, today, take, person, passage, others, used, most, heard, ear } = props;
  const formats = useFormats();
  const alive = useAlive();
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
        {alive ? (
          <Listening url={`/studio/${studioId}/recordings/${take.id}/sound`} about={about} />
        ) : (
          <p className={styles.soft}>{said.opening}</p>
        )}
        <p className={styles.soft}>
          {said.placed[about.placedBy]} {about.gaps && said.gaps}
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
