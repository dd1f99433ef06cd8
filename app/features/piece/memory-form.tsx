import MenuItem from "@mui/material/MenuItem";
import { Form } from "react-router";
import { Field, type Refused } from "~/components/field";
import { SubmitButton } from "~/components/submit-button";
import { MEMORY_UNITS } from "~/core/week";
import { addDays, type Day } from "~/core/units";
import { MemoryLines, type MemoryLine } from "~/features/plan/memory-lines";
import { planWords } from "~/words/plan";
import styles from "./piece.module.css";

interface MemoryFormProps {
  readonly bars: number;
  readonly today: Day;
  readonly concert: Day | null;
  readonly memory: MemoryLine | undefined;
  readonly refused: Refused | undefined;
}

const { memoryForm: said, week } = planWords;
const USUAL_DAYS = 56;
const USUAL_MARGIN = 2;

/** Learning the piece by heart to a date: what stands, and the plan itself. */
export function MemoryForm({ bars, today, concert, memory, refused }: MemoryFormProps) {
  const plan = memory?.plan;
  const ahead = concert !== null && concert > addDays(today, 7 * USUAL_MARGIN);
  return (
    <>
      {memory && <MemoryLines lines={[memory]} canMark={false} />}
      <Form method="post" className={styles.memory} noValidate>
        <input type="hidden" name="act" value="memory" />
        <input type="hidden" name="from" value={plan?.from ?? today} />
        <Field
          name="total"
          type="number"
          size="small"
          label={said.total}
          defaultValue={plan?.total ?? bars}
          refused={refused}
        />
        <Field
          name="unit"
          select
          size="small"
          label={said.unit}
          defaultValue={plan?.unit ?? "bars"}
          refused={refused}
        >
          {MEMORY_UNITS.map((unit) => (
            <MenuItem key={unit} value={unit}>
              {week.units[unit]}
            </MenuItem>
          ))}
        </Field>
        <Field
          name="concert"
          type="date"
          size="small"
          label={said.concert}
          defaultValue={plan?.concert ?? (ahead ? concert : addDays(today, USUAL_DAYS))}
          refused={refused}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <Field
          name="marginWeeks"
          type="number"
          size="small"
          label={said.margin}
          defaultValue={plan?.marginWeeks ?? USUAL_MARGIN}
          refused={refused}
        />
        <SubmitButton variant="outlined">{plan ? said.change : said.plan}</SubmitButton>
      </Form>
    </>
  );
}
