import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import MenuItem from "@mui/material/MenuItem";
import { useWatch } from "react-hook-form";
import { useFetcher } from "react-router";
import type { Refused } from "~/components/field";
import { FormField } from "~/components/form-field";
import { useFormats } from "~/components/locale";
import { SentForm, type Typed } from "~/components/sent-form";
import { canBeServed, GOAL_SPANS, type ServedGoal } from "~/core/week";
import { goalFormSchema } from "~/forms/goal";
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
  const refused = fetcher.data && "errors" in fetcher.data ? fetcher.data : undefined;
  const send = (form: FormData) => {
    form.set("id", crypto.randomUUID());
    void fetcher.submit(form, { method: "post" });
  };
  return (
    <SentForm
      schema={goalFormSchema}
      values={{ act: "goal", span: "week", text: "", serves: "" }}
      refused={refused}
      className={styles.newGoal}
      send={send}
    >
      <input type="hidden" name="act" value="goal" />
      <FormField name="span" select size="small" label={said.forHowLong}>
        {GOAL_SPANS.map((each) => (
          <MenuItem key={each} value={each}>
            {said.spans[each]}
          </MenuItem>
        ))}
      </FormField>
      <FormField
        name="text"
        size="small"
        label={said.text}
        slotProps={{ htmlInput: { maxLength: 200 } }}
      />
      <Serves goals={goals} />
      <Button type="submit" variant="outlined" disabled={fetcher.state !== "idle"}>
        {said.add}
      </Button>
    </SentForm>
  );
}

/** A larger goal that the new one is a step to, where there is one. */
function Serves({ goals }: { goals: readonly ServedGoal[] }) {
  const span = useWatch<Typed, "span">({ name: "span" });
  const larger = goals.filter((goal) => canBeServed(goal.span) && goal.span !== span);
  if (larger.length === 0) return null;
  return (
    <FormField name="serves" select size="small" label={said.serves}>
      <MenuItem value="">{said.servesNothing}</MenuItem>
      {larger.map(({ id, text }) => (
        <MenuItem key={id} value={id}>
          {text}
        </MenuItem>
      ))}
    </FormField>
  );
}
