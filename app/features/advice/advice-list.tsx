import Button from "@mui/material/Button";
import { useRef, useState } from "react";
import { useFetcher } from "react-router";
import { useFormats } from "~/components/locale";
import { Section } from "~/components/page";
import { adviceTold, adviceWords as said, changeTold, ruleNames } from "~/words/advice";
import { placeNamed, tempoOf, type AdviceShown, type ForToday } from "./advice-shapes";
import { Offers, type OffersProps, type Send } from "./offers";
import styles from "./advice.module.css";

export interface AdviceListProps {
  readonly home: string;
  readonly hurts: boolean;
  readonly advice: readonly AdviceShown[];
  /** What is changed for today already. */
  readonly forToday?: readonly ForToday[];
  /** A teacher changes what is set; a student changes today. */
  readonly teaches: boolean;
  /** Nothing is said where there is nothing to advise. */
  readonly quiet?: boolean;
  /** Puts advice into next week's items; where a week is being put together. */
  readonly prepare?: (advice: AdviceShown) => void;
}

type Answer =
  | { readonly done: "changed"; readonly passageId: string; readonly before: number }
  | { readonly done: keyof typeof said.done }
  | { readonly sentence: string };

const changed = (answer: Answer | undefined) =>
  answer && "done" in answer && answer.done === "changed" ? answer : undefined;

/** Advice with its reason: pressed, it is carried out, and another press takes it back. */
export function AdviceList(props: AdviceListProps) {
  const { home, hurts, advice, forToday = [], teaches, quiet = false, prepare } = props;
  const fetcher = useFetcher<Answer>();
  const answer = fetcher.data;
  const undo = changed(answer);
  // What was pressed is gone at once, also where the page keeps what it was given.
  const status = useRef<HTMLParagraphElement>(null);
  const [pressed, setPressed] = useState<ReadonlySet<string>>(new Set());
  const [prepared, setPrepared] = useState(false);
  const shown = advice.filter(({ key }) => !pressed.has(key));
  if (quiet && shown.length === 0 && forToday.length === 0 && !answer && !prepared) return null;
  const done = (key: string | undefined) => {
    setPressed((before) => (key === undefined ? new Set() : new Set([...before, key])));
    // What was pressed goes away: whoever came by keys goes on from what is told of it.
    status.current?.focus();
  };
  const send: Send = (fields, key) => {
    setPrepared(false);
    void fetcher.submit(fields, { method: "post", action: `${home}/advice` });
    done(key);
  };
  return (
    <Section title={said.title}>
      <p role="status" ref={status} tabIndex={-1} className={styles.told}>
        {prepared ? said.prepared : answer && <Told answer={answer} />}{" "}
        {undo && !prepared && (
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
      {forToday.map((each) => (
        <Today key={`${each.passageId} ${each.rule}`} {...each} send={send} />
      ))}
      {hurts && <p>{said.hurts}</p>}
      {!hurts && shown.length === 0 && forToday.length === 0 && !answer && <p>{said.none}</p>}
      <ul className={styles.list}>
        {shown.map((each) => (
          <One
            key={each.key}
            home={home}
            advice={each}
            teaches={teaches}
            send={send}
            prepare={
              prepare &&
              ((one) => {
                prepare(one);
                setPrepared(true);
                done(one.key);
              })
            }
          />
        ))}
      </ul>
    </Section>
  );
}

function Told({ answer }: { readonly answer: Answer }) {
  if ("sentence" in answer) return <>{answer.sentence}</>;
  return <>{answer.done === "changed" ? said.changed : said.done[answer.done]}</>;
}

/** What goes for today only, and the press that takes it back. */
function Today({ passageId, passage, rule, change, send }: ForToday & { readonly send: Send }) {
  const where = placeNamed(passage);
  return (
    <p className={styles.today}>
      {said.forToday(changeTold(change, tempoOf(passage)), where)}{" "}
      <Button
        size="small"
        aria-label={said.asSetOf(where)}
        onClick={() => send({ act: "not-today", passage: passageId, rule })}
      >
        {said.asSet}
      </Button>
    </p>
  );
}

type OneProps = Pick<OffersProps, "home" | "advice" | "teaches" | "send" | "prepare">;

function One({ advice, ...props }: OneProps) {
  const formats = useFormats();
  const tempo = tempoOf(advice.passage);
  const told = adviceTold(advice, tempo, formats.longDay);
  const title = ruleNames[advice.rule];
  const where = advice.passage && placeNamed(advice.passage);
  return (
    <li className={styles.one}>
      <h3>{title}</h3>
      {where && <p className={styles.where}>{where}</p>}
      <p>{told}</p>
      <Offers
        {...props}
        advice={advice}
        title={title}
        tempo={tempo}
        told={[where, told].filter(Boolean).join(": ")}
      />
    </li>
  );
}
