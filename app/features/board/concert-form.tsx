import { FormDayField } from "~/components/form-day-field";
import type { Refused } from "~/components/field";
import { FormField } from "~/components/form-field";
import { SentForm } from "~/components/sent-form";
import { SubmitButton } from "~/components/submit-button";
import type { Day } from "~/core/units";
import { concertFormSchema } from "~/forms/concert";
import { words } from "~/words";
import styles from "./board.module.css";

export interface ConcertFormProps {
  readonly concert: { readonly name: string; readonly day: Day } | undefined;
  readonly today: Day;
  readonly refused: Refused | undefined;
}

/** The day that everything is prepared for. */
export function ConcertForm({ concert, today, refused }: ConcertFormProps) {
  return (
    <SentForm
      key={concert?.day}
      schema={concertFormSchema}
      values={{ name: concert?.name ?? "", day: concert?.day ?? "" }}
      refused={refused}
      className={styles.tools}
    >
      <FormField name="name" size="small" label={words.week.concertName} />
      <FormDayField name="day" label={words.week.concertOn} min={today} />
      <SubmitButton variant="outlined">{words.week.concertSave}</SubmitButton>
    </SentForm>
  );
}
