import { Form } from "react-router";
import { Section } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import { recordsWords } from "~/words/records";
import styles from "./records.module.css";

const { backups: said } = recordsWords;

/** What is known of the server's backups. */
export interface BackupsTold {
  /** Whole hours since the newest was taken; none yet. */
  readonly hoursOld: number | undefined;
  readonly keep: number;
  /** Hours between two; 0: none is taken by itself. */
  readonly everyHours: number;
}

/** How old the newest backup is, and one more on a press. */
export function BackupSection(props: BackupsTold & { readonly taken: boolean }) {
  const { hoursOld, keep, everyHours, taken } = props;
  return (
    <Section title={said.title}>
      <p className={styles.said}>
        {hoursOld === undefined ? said.none : said.newest(hoursOld)}{" "}
        {everyHours > 0 ? said.scheduled(everyHours, keep) : said.unscheduled}
      </p>
      <Form method="post" className={styles.takes}>
        <input type="hidden" name="what" value="backup" />
        <SubmitButton variant="outlined">{said.take}</SubmitButton>
        {taken && <span role="status">{said.taken}</span>}
      </Form>
    </Section>
  );
}
