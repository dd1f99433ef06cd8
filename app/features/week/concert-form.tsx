import { Form } from "react-router";
import { Field, type Refused } from "~/components/field";
import { SubmitButton } from "~/components/submit-button";
import type { Day } from "~/core/units";
import { words } from "~/words";
import styles from "./week-board.module.css";

interface ConcertFormProps {
  readonly concert: { readonly name: string; readonly day: Day } | undefined;
  readonly refused: Refused | undefined;
}

/** The day that everything is prepared for. */
export function ConcertForm({ concert, refused }: ConcertFormProps) {
  return (
    <details className={styles.concert} open={refused !== undefined}>
      <summary>{words.week.setConcert}</summary>
      <Form key={concert?.day} method="post" className={styles.tools} noValidate>
        <Field
          name="name"
          size="small"
          label={words.week.concertName}
          defaultValue={concert?.name}
          refused={refused}
        />
        <Field
          name="day"
          type="date"
          size="small"
          label={words.week.concertOn}
          defaultValue={concert?.day}
          refused={refused}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <SubmitButton variant="outlined">{words.week.concertSave}</SubmitButton>
      </Form>
    </details>
  );
}
