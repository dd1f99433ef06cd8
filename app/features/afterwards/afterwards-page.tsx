import Button from "@mui/material/Button";
import { useId, useState } from "react";
import { Form, Link } from "react-router";
import { TempoText } from "~/components/beat-unit";
import { Care } from "~/components/care";
import { Field, type Refused } from "~/components/field";
import { useFormats } from "~/components/locale";
import { Page, Section } from "~/components/page";
import { StateMark } from "~/components/state-mark";
import type { Flaw } from "~/core/session";
import type { LogEntry, PassageLine } from "~/features/shapes";
import { SubmitButton } from "~/components/submit-button";
import { words } from "~/words";
import { MovedLine } from "./moved-line";
import styles from "./afterwards.module.css";

export interface AfterwardsPageProps {
  readonly studioId: string;
  readonly person: { readonly id: string; readonly name: string };
  readonly entry: LogEntry;
  readonly flaws: readonly { readonly what: Flaw; readonly times: number }[];
  readonly next: readonly PassageLine[];
  readonly refused: Refused | undefined;
}

/** What moved, a line for the log, and where next time starts. */
export function AfterwardsPage({
  studioId,
  person,
  entry,
  flaws,
  next,
  refused,
}: AfterwardsPageProps) {
  const formats = useFormats();
  const home = `/studio/${studioId}/students/${person.id}`;
  const sum = (of: (block: LogEntry["blocks"][number]) => number) =>
    entry.blocks.reduce((total, block) => total + of(block), 0);
  return (
    <Page
      title={words.afterwards.title}
      lead={`${formats.longDay(entry.day)}: ${words.afterwards.total(
        words.minutes(sum(({ minutes }) => minutes)),
        words.plays(sum(({ plays }) => plays)),
        words.cleanOf(
          sum(({ clean }) => clean),
          sum(({ plays }) => plays),
        ),
      )}`}
      back={{ to: home, label: person.name }}
      actions={
        entry.ended === null && (
          <Button
            component={Link}
            to={`/studio/${studioId}/sessions/${entry.session_id}/stand`}
            variant="contained"
          >
            {words.today.goOn}
          </Button>
        )
      }
    >
      {entry.ended === "pain" && (
        <div className={styles.care}>
          <Care open />
        </div>
      )}
      <Section title={words.afterwards.moved}>
        {entry.blocks.length === 0 && <p>{words.afterwards.nothing}</p>}
        {entry.blocks.map((block, i) => (
          <MovedLine key={i} block={block} />
        ))}
      </Section>
      <div className={styles.columns}>
        <Section title={words.afterwards.notes}>
          {entry.notes.map((note, i) => (
            <p key={i}>
              <q>{note}</q>
            </p>
          ))}
          <NoteForm key={entry.notes.length} refused={refused} />
        </Section>
        {flaws.length > 0 && (
          <Section title={words.afterwards.flaws}>
            <ul className={styles.flaws}>
              {flaws.map(({ what, times }) => (
                <li key={what}>
                  {words.flaw[what]} <span>×{times}</span>
                </li>
              ))}
            </ul>
          </Section>
        )}
        <Section title={words.afterwards.next}>
          <ul className={styles.next}>
            {next.map((passage) => (
              <li key={passage.id}>
                <span>
                  {passage.title}, {passage.name || words.bars(passage.fromBar, passage.toBar)}
                </span>
                <StateMark state={passage.state} />
                <span>
                  {words.afterwards.nextFrom}{" "}
                  <TempoText unit={passage.beatUnit} bpm={passage.start ?? "–"} />
                </span>
              </li>
            ))}
          </ul>
          <Button component={Link} to={`${home}/today`} variant="outlined">
            {words.afterwards.again}
          </Button>
        </Section>
      </div>
    </Page>
  );
}

function NoteForm({ refused }: { refused: Refused | undefined }) {
  const [id, setId] = useState<string | undefined>(undefined);
  const fieldId = useId();
  return (
    <Form method="post" className={styles.note} noValidate>
      <input type="hidden" name="id" value={id ?? ""} />
      <Field
        name="note"
        label={words.afterwards.note}
        refused={refused}
        onFocus={() => setId((known) => known ?? crypto.randomUUID())}
        multiline
        aria-describedby={fieldId}
      />
      <SubmitButton variant="contained">{words.afterwards.noteSubmit}</SubmitButton>
    </Form>
  );
}
