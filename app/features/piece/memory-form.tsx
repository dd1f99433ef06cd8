import MenuItem from "@mui/material/MenuItem";
import type { Refused } from "~/components/field";
import { FormDayField } from "~/components/form-day-field";
import { FormField } from "~/components/form-field";
import { SentForm } from "~/components/sent-form";
import { SubmitButton } from "~/components/submit-button";
import { MEMORY_UNITS } from "~/core/week";
import { addDays, type Day } from "~/core/units";
import { MemoryLines, type MemoryLine } from "~/features/plan/memory-lines";
import { memoryFormSchema } from "~/forms/memory";
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
  const values = {
    from: plan?.from ?? today,
    total: String(plan?.total ?? bars),
    unit: plan?.unit ?? "bars",
    concert: plan?.concert ?? (ahead ? concert : addDays(today, USUAL_DAYS)),
    marginWeeks: String(plan?.marginWeeks ?? USUAL_MARGIN),
  };
  return (
    <>
      {memory && <MemoryLines lines={[memory]} canMark={false} />}
      <SentForm
        schema={memoryFormSchema}
        values={values}
        refused={refused}
        className={styles.memory}
      >
        <input type="hidden" name="act" value="memory" />
        <input type="hidden" name="from" value={values.from} />
        <FormField name="total" type="number" size="small" label={said.total} />
        <FormField name="unit" select size="small" label={said.unit}>
          {MEMORY_UNITS.map((unit) => (
            <MenuItem key={unit} value={unit}>
              {week.units[unit]}
            </MenuItem>
          ))}
        </FormField>
        <FormDayField name="concert" label={said.concert} min={today} />
        <FormField name="marginWeeks" type="number" size="small" label={said.margin} />
        <SubmitButton variant="outlined">{plan ? said.change : said.plan}</SubmitButton>
      </SentForm>
    </>
  );
}
