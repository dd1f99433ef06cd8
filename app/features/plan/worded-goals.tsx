import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { useFetcher } from "react-router";
import type { Refused } from "~/components/field";
import { useFormats } from "~/components/locale";
import { canBeServed, GOAL_SPANS, type GoalSpan, type ServedGoal } from "~/core/week";
import { planWords } from "~/words/plan";
import styles from "./week-page.module.css";

const { goals: said } = planWords;

interface WordedGoalsProps {
  readonly goals: readonly ServedGoal[];
  readonly canChange: boolean;
}

/** Goals in words, one line each: today, this week, this month, this year. */
export function WordedGoals({ goals, canChange }: WordedGoalsProps) {
  return (
    <div>
      {goals.length === 0 && <p className={styles.soft}>{said.none}</p>}
      <ul className={styles.worded}>
        {goals.map((goal) => (
          <GoalLine key={goal.id} goal={goal} canChange={canChange} />
        ))}
      </ul>
      {canChange && <NewGoal key={goals.length} goals={goals} />}
    </div>
  );
}

function GoalLine({ goal, canChange }: { goal: ServedGoal; canChange: boolean }) {
  const fetcher = useFetcher();
  const formats = useFormats();
  const act = (what: string) => void fetcher.submit({ act: what, id: goal.id }, { method: "post" });
  const done = goal.done_on !== null;
  return (
    <li>
      <Checkbox
        checked={done}
        disabled={!canChange || fetcher.state !== "idle"}
        slotProps={{ input: { "aria-label": goal.text } }}
        onChange={() => act(done ? "goal-open" : "goal-reached")}
      />
      <span>
        <span className={done ? styles.reached : undefined}>{goal.text}</span>
        <span className={styles.soft}>
          {said.spans[goal.span]}
          {goal.done_on && `, ${said.doneOn(formats.shortDay(goal.done_on))}`}
          {goal.servedBy.length > 0 &&
            `. ${said.servedBy} ${goal.servedBy
              .map(({ text, from_day, done_on }) =>
                said.serving(text, formats.shortDay(from_day), done_on !== null),
              )
              .join("; ")}`}
        </span>
      </span>
      {canChange && (
        <Button size="small" aria-label={said.dropOf(goal.text)} onClick={() => act("goal-drop")}>
          {said.drop}
        </Button>
      )}
    </li>
  );
}

function NewGoal({ goals }: { goals: readonly ServedGoal[] }) {
  const fetcher = useFetcher<Refused>();
  const [span, setSpan] = useState<GoalSpan>("week");
  const [text, setText] = useState("");
  const [serves, setServes] = useState("");
  const larger = goals.filter((goal) => canBeServed(goal.span) && goal.span !== span);
  const refused = fetcher.data && "errors" in fetcher.data ? fetcher.data.errors.text : undefined;
  const add = () =>
    void fetcher.submit(
      { act: "goal", id: crypto.randomUUID(), span, text, serves },
      { method: "post" },
    );
  return (
    <div className={styles.newGoal}>
      <TextField
        select
        size="small"
        label={said.forHowLong}
        value={span}
        onChange={({ target }) => setSpan(target.value as GoalSpan)}
      >
        {GOAL_SPANS.map((each) => (
          <MenuItem key={each} value={each}>
            {said.spans[each]}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        size="small"
        label={said.text}
        value={text}
        error={refused !== undefined}
        helperText={refused}
        slotProps={{ htmlInput: { maxLength: 200 } }}
        onChange={({ target }) => setText(target.value)}
        onKeyDown={(event) => event.key === "Enter" && add()}
      />
      {larger.length > 0 && (
        <TextField
          select
          size="small"
          label={said.serves}
          value={serves}
          onChange={({ target }) => setServes(target.value)}
        >
          <MenuItem value="">{said.servesNothing}</MenuItem>
          {larger.map(({ id, text: larger }) => (
            <MenuItem key={id} value={id}>
              {larger}
            </MenuItem>
          ))}
        </TextField>
      )}
      <Button variant="outlined" disabled={fetcher.state !== "idle"} onClick={add}>
        {said.add}
      </Button>
    </div>
  );
}
