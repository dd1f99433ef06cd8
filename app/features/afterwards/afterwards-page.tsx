import Button from "@mui/material/Button";
import { useState } from "react";
import { Form, Link } from "react-router";
import { TempoText } from "~/components/beat-unit";
import { Care } from "~/components/care";
import { Field, type Refused } from "~/components/field";
import { useFormats } from "~/components/locale";
import { Page, Section } from "~/components/page";
import { StateMark } from "~/components/state-mark";
import type { Mark } from "~/core/judge";
import type { Flaw } from "~/core/session";
import { AdviceList } from "~/features/advice/advice-list";
import type { AdviceShown, ForToday } from "~/features/advice/advice-shapes";
import type { Evenness, LogEntry, PassageLine } from "~/features/shapes";
import { SubmitButton } from "~/components/submit-button";
import { TakeList } from "~/features/take/take-list";
import type { TakeOfList } from "~/features/take/take-shapes";
import { words } from "~/words";
import { listenWords } from "~/words/listen";
import { planWords } from "~/words/plan";
import { CheckIn, Ratings } from "./how-was-it";
import { MovedLine } from "./moved-line";
import styles from "./afterwards.module.css";

export interface AfterwardsPageProps {
  readonly studioId: string;
  readonly looksOnly: boolean;
  readonly teaches: boolean;
  readonly advice: readonly AdviceShown[];
  readonly forToday: readonly ForToday[];
  readonly takes: readonly TakeOfList[];
  readonly person: { readonly id: string; readonly name: string };
  readonly marks: readonly Mark[];
  readonly entry: LogEntry;
  /** Plays whose notes were hidden. */
  readonly fromMemory: { readonly plays: number; readonly clean: number };
  /** How evenly passages lay against their beats, in milliseconds, where that was measured. */
  readonly evenness: readonly Evenness[];
  readonly flaws: readonly { readonly what: Flaw; readonly times: number }[];
  readonly next: readonly PassageLine[];
  readonly refused: Refused | undefined;
}

/** What moved, a line for the log, and where next time starts. */
export function AfterwardsPage({
  studioId,
  looksOnly,
  teaches,
  advice,
  forToday,
  takes,
  person,
  marks,
  entry,
  flaws,
  fromMemory,
  evenness,
  next,
  refused,
}: AfterwardsPageProps) {
  const formats = useFormats();
  const home = `/studio/${studioId}/students/${person.id}`;
  const sum = (of: (block: LogEntry["blocks"][number]) => number) =>
    entry.blocks.reduce((total, block) => total + of(block), 0);
  const taskMinutes = entry.tasks.reduce((total, { seconds }) => total + seconds / 60, 0);
  return (
    <Page
      title={words.afterwardsTitle}
      lead={`${formats.longDay(entry.day)}: ${words.afterwards.total(
        words.minutes(sum(({ minutes }) => minutes) + taskMinutes),
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
        {marks.length > 0 && (
          <ul className={styles.marks}>
            {marks.map((mark, i) => (
              <li key={i}>{planWords.mark(mark)}</li>
            ))}
          </ul>
        )}
        {entry.blocks.length === 0 && entry.tasks.length === 0 && <p>{words.afterwards.nothing}</p>}
        {entry.blocks.map((block, i) => (
          <MovedLine
            key={i}
            block={block}
            even={evenness.find(({ passage_id: id }) => id === block.passageId)}
          />
        ))}
        {entry.tasks.length > 0 && (
          <p className={styles.tasks}>
            {entry.tasks
              .map(
                ({ kind, seconds }) => `${words.block[kind].name} ${words.minutes(seconds / 60)}`,
              )
              .join(" · ")}
          </p>
        )}
      </Section>
      <div className={styles.columns}>
        <Section title={words.afterwards.notes}>
          {entry.notes.map((note, i) => (
            <p key={i}>
              <q>{note}</q>
            </p>
          ))}
          {!looksOnly && (
            <SayForm
              key={entry.notes.length}
              say="note"
              label={words.afterwards.note}
              submit={words.afterwards.noteSubmit}
              refused={refused}
            />
          )}
          {entry.questions.map((question, i) => (
            <p key={i}>
              {planWords.lesson.questions}: <q>{question}</q>
            </p>
          ))}
          {!looksOnly && (
            <SayForm
              key={`question ${entry.questions.length}`}
              say="question"
              label={planWords.ratings.question}
              submit={planWords.ratings.questionSubmit}
              refused={refused}
            />
          )}
        </Section>
        {!looksOnly && (
          <Section title={planWords.ratings.title}>
            <CheckIn feeling={entry.feeling} />
            <Ratings given={entry.ratings} />
          </Section>
        )}
        {fromMemory.plays > 0 && (
          <p>{words.afterwards.fromMemory(words.cleanOf(fromMemory.clean, fromMemory.plays))}</p>
        )}
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
      {takes.length > 0 && (
        <Section title={listenWords.takes}>
          <TakeList studioId={studioId} takes={takes} />
        </Section>
      )}
      <AdviceList
        quiet
        home={home}
        hurts={false}
        advice={advice}
        forToday={forToday}
        teaches={teaches}
      />
    </Page>
  );
}

interface SayFormProps {
  readonly say: "note" | "question";
  readonly label: string;
  readonly submit: string;
  readonly refused: Refused | undefined;
}

/** One line; its id is made here, so that sent twice it is said once. */
function SayForm({ say, label, submit, refused }: SayFormProps) {
  const [id, setId] = useState<string | undefined>(undefined);
  return (
    <Form method="post" className={styles.note} noValidate>
      <input type="hidden" name="say" value={say} />
      <input type="hidden" name="id" value={id ?? ""} />
      <Field
        name={say}
        label={label}
        refused={refused}
        onFocus={() => setId((known) => known ?? crypto.randomUUID())}
        multiline
      />
      <SubmitButton variant={say === "note" ? "contained" : "outlined"}>{submit}</SubmitButton>
    </Form>
  );
}
