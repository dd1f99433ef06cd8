import { useId } from "react";
import { Form } from "react-router";
import { Empty, Page, Section } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import type { BarPlace } from "~/core/listen";
import { demonstrationWords as said } from "~/words/demonstrations";
import styles from "./demonstration.module.css";
import { Heard } from "./heard";
import { RecordHere } from "./record-here";

export interface DemonstrationsPageProps {
  readonly studioId: string;
  readonly teaches: boolean;
  readonly person: { readonly id: string; readonly name: string };
  readonly piece: { readonly id: string; readonly title: string; readonly bars: number };
  readonly demonstrations: readonly {
    readonly id: string;
    readonly name: string;
    readonly places: readonly BarPlace[];
  }[];
  /** Why something was refused. */
  readonly sentence: string | undefined;
  /** Whose bars were kept just now. */
  readonly marked: string | undefined;
}

/** A piece as its teacher plays it: to listen to, and to be played along with at the stand. */
export function DemonstrationsPage(props: DemonstrationsPageProps) {
  const { studioId, teaches, person, piece, demonstrations, sentence, marked } = props;
  const home = `/studio/${studioId}/students/${person.id}`;
  return (
    <Page
      title={`${said.title}: ${piece.title}`}
      lead={said.lead}
      back={{ to: `${home}/pieces/${piece.id}`, label: piece.title }}
    >
      {sentence && <p role="alert">{sentence}</p>}
      {demonstrations.length === 0 && <Empty>{teaches ? said.none : said.noneToHear}</Empty>}
      {demonstrations.map((each) => (
        <Section
          key={each.id}
          title={each.name}
          aside={
            teaches && (
              <Form method="post">
                <input type="hidden" name="demonstration" value={each.id} />
                <SubmitButton name="act" value="drop" variant="text">
                  {said.drop}
                </SubmitButton>
              </Form>
            )
          }
        >
          <Heard
            demonstration={each}
            url={`${home}/demonstrations/${each.id}/sound`}
            bars={piece.bars}
            teaches={teaches}
            kept={marked === each.id}
          />
        </Section>
      ))}
      {teaches && (
        <Section title={said.add}>
          <Bring key={demonstrations.length} />
          <RecordHere />
        </Section>
      )}
    </Page>
  );
}

function Bring() {
  const id = useId();
  return (
    <Form method="post" encType="multipart/form-data" className={styles.bring}>
      <label htmlFor={id}>{said.file}</label>
      <input
        id={id}
        name="file"
        type="file"
        accept=".wav,.mp3,.flac,.ogg,.opus,.m4a,.mp4,.webm,audio/*"
      />
      <SubmitButton variant="contained">{said.send}</SubmitButton>
    </Form>
  );
}
