import Button from "@mui/material/Button";
import { Form, Link } from "react-router";
import { TempoText } from "~/components/beat-unit";
import { useFormats } from "~/components/locale";
import { Page, Section } from "~/components/page";
import { useAlive } from "~/components/alive";
import type { Take } from "~/core/listen";
import { daysBetween, type BeatUnit, type Day } from "~/core/units";
import { words } from "~/words";
import { listenWords as said } from "~/words/listen";
import { Listening } from "./listening";
import { TakeList } from "./take-list";
import type { TakeOfList } from "./take-shapes";
import styles from "./take.module.css";

export interface TakePageProps {
  readonly studioId: string;
  readonly today: Day;
  readonly take: TakeOfList & { readonly about: Take; readonly flawBar: number | null };
  readonly person: { readonly id: string; readonly name: string };
  readonly passage: {
    readonly id: string;
    readonly title: string;
    readonly name: string;
    readonly beatUnit: BeatUnit;
  };
  readonly others: readonly TakeOfList[];
  readonly used: number;
  readonly most: number;
}

/** A take, to be listened to bar by bar. */
export function TakePage({ studioId, today, take, passage, others, ...rest }: TakePageProps) {
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
          {passage.title}
          {passage.name && `, ${passage.name}`} ·{" "}
          <TempoText unit={passage.beatUnit} bpm={take.tempo} /> · {formats.moment(take.at)} ·{" "}
          {take.verdict ? said.verdict[take.verdict] : said.noVerdict}
          {take.flawBar !== null && `, ${said.flawAt(take.flawBar)}`}
        </>
      }
      back={{
        to: `/studio/${studioId}/passages/${passage.id}`,
        label: passage.name || words.capital(bars),
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
      {others.length > 0 && (
        <Section title={said.others}>
          <TakeList studioId={studioId} takes={others} />
        </Section>
      )}
      <footer className={styles.foot}>
        <p className={styles.soft}>
          {said.privacy}{" "}
          {left <= 1 ? said.goesTomorrow : said.keptUntil(formats.longDay(take.keptUntil))}{" "}
          {said.used(rest.used, rest.most)}
        </p>
        <Form method="post">
          <Button type="submit" color="error">
            {said.remove}
          </Button>
        </Form>
        <Link className="sr-only" to={`/studio/${studioId}/students/${rest.person.id}`}>
          {rest.person.name}
        </Link>
      </footer>
    </Page>
  );
}
