import MenuItem from "@mui/material/MenuItem";
import { useFormContext, useWatch } from "react-hook-form";
import type { Refused } from "~/components/field";
import { FormDayField } from "~/components/form-day-field";
import { FormField } from "~/components/form-field";
import { SentForm, type Typed } from "~/components/sent-form";
import { SubmitButton } from "~/components/submit-button";
import type { PrintedBegins } from "~/core/score";
import { MEMORY_UNITS } from "~/core/week";
import { addDays, type Day } from "~/core/units";
import { MemoryLines, type MemoryLine } from "~/features/my-week/memory-lines";
import { memoryFormSchema } from "~/forms/memory";
import { planWords } from "~/words/plan";
import styles from "./piece.module.css";

interface MemoryFormProps {
  readonly bars: number;
  /** Where lines and pages begin, as far as the music tells. */
  readonly printed: PrintedBegins;
  readonly today: Day;
  readonly concert: Day | null;
  readonly memory: MemoryLine | undefined;
  readonly refused: Refused | undefined;
}

const { memoryForm: said, week } = planWords;
const USUAL_DAYS = 56;
const USUAL_MARGIN = 2;

/** Learning the piece by heart to a date: what stands, and the plan itself. */
export function MemoryForm({ bars, printed, today, concert, memory, refused }: MemoryFormProps) {
  const plan = memory?.plan;
  const ahead = concert !== null && concert > addDays(today, 7 * USUAL_MARGIN);
  const values = {
    from: plan?.from ?? today,
    total: String(plan?.total ?? bars),
    unit: plan?.unit ?? "bars",
    begins: plan?.begins?.join(", ") ?? "",
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
        <Amount bars={bars} printed={printed} />
        <FormDayField name="concert" label={said.concert} min={today} />
        <FormField name="marginWeeks" type="number" size="small" label={said.margin} />
        <SubmitButton variant="outlined">{plan ? said.change : said.plan}</SubmitButton>
      </SentForm>
    </>
  );
}

/** How much is learnt, and in what it is counted; what the music tells of its lines is filled in. */
function Amount({ bars, printed }: Pick<MemoryFormProps, "bars" | "printed">) {
  const { control, setValue } = useFormContext<Typed>();
  const unit = useWatch({ control, name: "unit" });
  const begin = (known: readonly number[]) => {
    setValue("begins", known.join(", "));
    if (known.length > 0) setValue("total", String(known.length));
  };
  const choose = (chosen: string) => {
    begin(chosen === "lines" ? printed.lines : chosen === "pages" ? printed.pages : []);
    if (chosen === "bars") setValue("total", String(bars));
  };
  const count = (typed: string) => {
    const typedBars = typed.match(/\d+/g);
    if (typedBars) setValue("total", String(typedBars.length));
  };
  return (
    <>
      <FormField name="total" type="number" size="small" label={said.total} />
      <FormField
        name="unit"
        select
        size="small"
        label={said.unit}
        onChange={({ target }) => choose(target.value)}
      >
        {MEMORY_UNITS.map((each) => (
          <MenuItem key={each} value={each}>
            {week.units[each]}
          </MenuItem>
        ))}
      </FormField>
      {unit !== "bars" && (
        <FormField
          name="begins"
          size="small"
          label={said.begins}
          helper={said.beginsHow}
          onChange={({ target }) => count(target.value)}
        />
      )}
    </>
  );
}
