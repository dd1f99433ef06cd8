import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";
import { Form, useNavigation, useSubmit } from "react-router";
import type { Refused } from "~/components/field";
import { planWords } from "~/words/plan";
import { spelt, typedLine, type Shorthand, type WeekItem } from "~/core/week";
import styles from "./week-page.module.css";

const { week: said } = planWords;
const LENGTHS = [5, 10, 15, 20, 30, 45, 60] as const;
const DAYS = [0, 1, 2] as const;

export type ByHandAnswer = Refused | { readonly written: number; readonly id: string } | undefined;

interface ByHandProps {
  readonly items: readonly WeekItem[];
  readonly answer: ByHandAnswer;
  readonly shorthand: Shorthand;
}

/** Practice made without Fidus, in two touches: what, and how long. The day is today unless said. */
export function ByHand({ items, answer, shorthand }: ByHandProps) {
  const submit = useSubmit();
  const { state } = useNavigation();
  const [item, setItem] = useState("");
  const [daysAgo, setDaysAgo] = useState(0);
  const [note, setNote] = useState("");
  const write = (minutes: number) =>
    void submit(
      { id: crypto.randomUUID(), itemId: item, minutes: `${minutes}`, daysAgo: `${daysAgo}`, note },
      { method: "post", preventScrollReset: true },
    );
  const errors = answer && "errors" in answer ? answer.errors : {};
  const refused = Object.entries(errors).find(([name]) => name !== "codes")?.[1];
  const line = typedLine(note);
  const text = spelt(line.about, shorthand);
  const written = answer && "written" in answer ? answer.written : 0;
  const [cleared, setCleared] = useState<string>();
  // What is written down stands no longer in its field; what was refused does.
  if (answer && "id" in answer && written > 0 && answer.id !== cleared) {
    setCleared(answer.id);
    setNote("");
  }
  return (
    <div className={styles.byHand}>
      <p className={styles.soft}>{said.byHandLead}</p>
      <ToggleButtonGroup
        exclusive
        size="small"
        className={styles.chips!}
        value={item}
        aria-label={said.byHand}
        onChange={(_, chosen: string | null) => setItem(chosen ?? "")}
      >
        <ToggleButton value="">{said.anything}</ToggleButton>
        {items.map(({ id, title }) => (
          <ToggleButton key={id} value={id}>
            {title}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <div className={styles.lengths}>
        {LENGTHS.map((minutes) => (
          <Button
            key={minutes}
            size="small"
            variant="outlined"
            disabled={state !== "idle"}
            onClick={() => write(minutes)}
          >
            {planWords.minutes(minutes)}
          </Button>
        ))}
        <ToggleButtonGroup
          exclusive
          size="small"
          value={daysAgo}
          aria-label={said.title}
          onChange={(_, chosen: number | null) => chosen !== null && setDaysAgo(chosen)}
        >
          {DAYS.map((day) => (
            <ToggleButton key={day} value={day}>
              {said.byHandDay[day]}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </div>
      <form
        className={styles.note}
        onSubmit={(event) => {
          event.preventDefault();
          if (line.minutes !== undefined) write(line.minutes);
        }}
      >
        <TextField
          size="small"
          label={said.byHandNote}
          placeholder={said.byHandExample}
          value={note}
          slotProps={{ htmlInput: { maxLength: 200 } }}
          onChange={({ target }) => setNote(target.value)}
        />
        {line.minutes !== undefined && (
          <Button type="submit" size="small" variant="outlined" disabled={state !== "idle"}>
            {said.byHandAdd(line.minutes)}
          </Button>
        )}
        {text !== line.about && <span className={styles.soft}>{text}</span>}
      </form>
      <Codes shorthand={shorthand} refused={errors.codes} />
      {refused && <p role="alert">{refused}</p>}
      {written > 0 && (
        <p role="status">
          {said.byHandDone(written)}{" "}
          <Button
            size="small"
            onClick={() =>
              void submit(
                { act: "undo-by-hand", id: answer && "id" in answer ? answer.id : "" },
                { method: "post", preventScrollReset: true },
              )
            }
          >
            {said.byHandUndo}
          </Button>
        </p>
      )}
    </div>
  );
}

interface CodesProps {
  readonly shorthand: Shorthand;
  readonly refused: string | undefined;
}

/** The player's own codes, one a line, to read and to change. */
function Codes({ shorthand, refused }: CodesProps) {
  const list = shorthand.map(({ code, means }) => `${code} ${means}`).join("\n");
  return (
    <details open={refused !== undefined}>
      <summary>{said.codes}</summary>
      <Form method="post" preventScrollReset className={styles.codes}>
        <input type="hidden" name="act" value="shorthand" />
        <TextField
          key={list}
          name="codes"
          size="small"
          multiline
          minRows={3}
          label={said.codesLabel}
          defaultValue={list}
          error={refused !== undefined}
          helperText={refused ?? said.codesHelp}
        />
        <Button type="submit" size="small" variant="outlined">
          {said.codesSave}
        </Button>
      </Form>
    </details>
  );
}
