import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import { Field, type Refused } from "~/components/field";
import { daysBetween, type Day } from "~/core/units";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import styles from "./questions.module.css";

export interface WaitingQuestion {
  readonly id: string;
  readonly day: Day;
  readonly text: string;
}

interface QuestionsProps {
  /** Where the student's pages are; what is answered is sent there. */
  readonly home: string;
  readonly today: Day;
  readonly waiting: readonly WaitingQuestion[];
}

const { questions: said } = planWords;

/** What a student asks: answered by text, or closed because it was talked about. */
export function Questions({ home, today, waiting }: QuestionsProps) {
  const [closed, setClosed] = useState<readonly string[]>([]);
  const open = waiting.filter(({ id }) => !closed.includes(id));
  if (open.length === 0) return null;
  return (
    <ul className={styles.questions} aria-label={said.title}>
      {open.map((question) => (
        <OneQuestion
          key={question.id}
          home={home}
          today={today}
          question={question}
          onClosed={() => setClosed((before) => [...before, question.id])}
        />
      ))}
    </ul>
  );
}

interface OneQuestionProps {
  readonly home: string;
  readonly today: Day;
  readonly question: WaitingQuestion;
  readonly onClosed: () => void;
}

function OneQuestion({ home, today, question, onClosed }: OneQuestionProps) {
  const fetcher = useFetcher<Refused | { readonly closed: string }>();
  const { data } = fetcher;
  const refused = data && "errors" in data ? data : undefined;
  const isClosed = data !== undefined && "closed" in data;
  useEffect(() => {
    if (isClosed) onClosed();
  }, [isClosed, onClosed]);
  const busy = fetcher.state !== "idle";
  return (
    <li>
      <p>
        <q>{question.text}</q>{" "}
        <span className={styles.soft}>{words.ago(daysBetween(question.day, today))}</span>
      </p>
      <fetcher.Form method="post" action={home} className={styles.answer} noValidate>
        <input type="hidden" name="id" value={question.id} />
        <div className={styles.field}>
          <Field name="answer" label={said.answer} refused={refused} size="small" />
        </div>
        <Button type="submit" name="act" value="answer" variant="outlined" disabled={busy}>
          {said.send}
        </Button>
        <Button type="submit" name="act" value="close" disabled={busy}>
          {said.close}
        </Button>
      </fetcher.Form>
    </li>
  );
}
