import Button from "@mui/material/Button";
import { useRef, useState } from "react";
import { Link, useFetcher } from "react-router";
import { useFormats } from "~/components/locale";
import { Section } from "~/components/page";
import type { Advice, Place } from "~/core/judge";
import { words } from "~/words";
import { adviceTold, adviceWords as said, changeTold, ruleNames } from "~/words/advice";
import styles from "./advice.module.css";

export type AdviceShown = Advice & {
  readonly key: string;
  readonly passage: {
    readonly title: string;
    readonly name: string;
    readonly fromBar: number;
    readonly toBar: number;
    readonly pieceId: string;
    /** The full tempo in percent of which its ladder climbs, if it does. */
    readonly of: number | null;
  } | null;
};

export interface AdviceListProps {
  readonly home: string;
  readonly hurts: boolean;
  readonly advice: readonly AdviceShown[];
  /** A teacher changes what is set; a student takes it to the lesson. */
  readonly teaches: boolean;
  /** Said where there is nothing to advise. */
  readonly quiet?: boolean;
}

type Answer =
  | { readonly done: "changed"; readonly passageId: string; readonly before: number }
  | { readonly done: keyof typeof said.done }
  | { readonly sentence: string };

const changed = (answer: Answer | undefined) =>
  answer && "done" in answer && answer.done === "changed" ? answer : undefined;

/** Advice with its reason: pressed, it is carried out, and another press takes it back. */
export function AdviceList({ home, hurts, advice, teaches, quiet = false }: AdviceListProps) {
  const fetcher = useFetcher<Answer>();
  const answer = fetcher.data;
  const undo = changed(answer);
  // What was pressed is gone at once, also where the page keeps what it was given.
  const status = useRef<HTMLParagraphElement>(null);
  const [pressed, setPressed] = useState<ReadonlySet<string>>(new Set());
  const shown = advice.filter(({ key }) => !pressed.has(key));
  if (quiet && shown.length === 0 && !answer) return null;
  const send = (fields: Record<string, string>, key?: string) => {
    setPressed((before) => (key === undefined ? new Set() : new Set([...before, key])));
    void fetcher.submit(fields, { method: "post", action: `${home}/advice` });
    // What was pressed goes away: whoever came by keys goes on from what is told of it.
    status.current?.focus();
  };
  return (
    <Section title={said.title}>
      <p role="status" ref={status} tabIndex={-1} className={styles.told}>
        {answer && <Told answer={answer} />}{" "}
        {undo && (
          <Button
            size="small"
            onClick={() =>
              send({ act: "undo", passage: undo.passageId, number: String(undo.before) })
            }
          >
            {said.takeBack}
          </Button>
        )}
      </p>
      {hurts && <p>{said.hurts}</p>}
      {!hurts && shown.length === 0 && !answer && <p>{said.none}</p>}
      <ul className={styles.list}>
        {shown.map((each) => (
          <One key={each.key} home={home} advice={each} teaches={teaches} send={send} />
        ))}
      </ul>
    </Section>
  );
}

function Told({ answer }: { readonly answer: Answer }) {
  if ("sentence" in answer) return <>{answer.sentence}</>;
  return <>{answer.done === "changed" ? said.changed : said.done[answer.done]}</>;
}

function placeOf(place: Place, home: string, { passage }: AdviceShown): string {
  const places: Record<Place, string> = {
    times: `${home}/times`,
    lesson: `${home}/lesson`,
    today: `${home}/today`,
    cut: passage ? `${home}/pieces/${passage.pieceId}` : home,
  };
  return places[place];
}

interface OneProps {
  readonly home: string;
  readonly advice: AdviceShown;
  readonly teaches: boolean;
  readonly send: (fields: Record<string, string>, key: string) => void;
}

function One({ home, advice, teaches, send }: OneProps) {
  const formats = useFormats();
  // The same press twice asks once.
  const [askId] = useState(() => crypto.randomUUID());
  const { passage, passageId, changes, places, key, rule } = advice;
  const tempo = (bpm: number) =>
    passage?.of ? words.staircase.tempo(bpm, passage.of) : words.bpm(Math.round(bpm));
  const told = adviceTold(advice, tempo, formats.longDay);
  const title = ruleNames[rule];
  const where =
    passage && `${passage.title}, ${passage.name || words.bars(passage.fromBar, passage.toBar)}`;
  return (
    <li className={styles.one}>
      <h3>{title}</h3>
      {where && <p className={styles.where}>{where}</p>}
      <p>{told}</p>
      <div className={styles.offers}>
        {teaches &&
          passageId !== null &&
          changes.map((change) => (
            <Button
              key={JSON.stringify(change)}
              variant="outlined"
              size="small"
              onClick={() =>
                send({ act: "do", passage: passageId, change: JSON.stringify(change) }, key)
              }
            >
              {changeTold(change, tempo)}
            </Button>
          ))}
        {places
          .filter((place) => teaches || place === "today")
          .map((place) => (
            <Button
              key={place}
              component={Link}
              to={placeOf(place, home, advice)}
              variant="outlined"
              size="small"
            >
              {said.places[place]}
            </Button>
          ))}
        {!teaches && (
          <Button
            variant="outlined"
            size="small"
            onClick={() =>
              send(
                {
                  act: "ask",
                  id: askId,
                  text: said.asked([where, told].filter(Boolean).join(": ")),
                },
                key,
              )
            }
          >
            {said.ask}
          </Button>
        )}
        <Button
          size="small"
          color="inherit"
          aria-label={said.dismissOf(title)}
          onClick={() => send({ act: "dismiss", key }, key)}
        >
          {said.dismiss}
        </Button>
      </div>
    </li>
  );
}
