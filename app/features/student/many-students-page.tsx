import Button from "@mui/material/Button";
import { Form } from "react-router";
import { Field, type Refused } from "~/components/field";
import { Page } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import { words } from "~/words";
import styles from "./student.module.css";

interface Ticket {
  readonly id: string;
  readonly name: string;
  readonly instrument: string;
  readonly address: string;
  readonly qr: string;
  readonly code: string;
}

interface ManyStudentsPageProps {
  readonly studioId: string;
  readonly answer: Refused | { readonly tickets: readonly Ticket[] } | undefined;
}

const { many } = words;

/** Many students at once from a pasted list, and a sheet of what they come in with. */
export function ManyStudentsPage({ studioId, answer }: ManyStudentsPageProps) {
  const tickets = answer && "tickets" in answer ? answer.tickets : undefined;
  const refused = answer && "errors" in answer ? answer : undefined;
  return (
    <Page
      title={many.title}
      lead={tickets ? many.once(tickets.length) : many.lead}
      back={{ to: `/studio/${studioId}`, label: words.desk.week }}
      actions={
        tickets && (
          <Button variant="contained" onClick={() => window.print()}>
            {many.print}
          </Button>
        )
      }
    >
      {tickets ? (
        <ul className={styles.tickets}>
          {tickets.map(({ id, name, instrument, address, qr, code }) => (
            <li key={id}>
              {/* Made on our own server from our own address. */}
              <div role="img" aria-label={name} dangerouslySetInnerHTML={{ __html: qr }} />
              <div>
                <strong>{name}</strong>
                <span className={styles.soft}>{instrument}</span>
                <span>{many.code(code)}</span>
                <span className={styles.address}>{address}</span>
              </div>
            </li>
          ))}
        </ul>
      ) : (
        <Form method="post" className={styles.form} noValidate>
          <Field name="list" label={many.list} refused={refused} multiline minRows={8} autoFocus />
          <SubmitButton variant="contained">{many.submit}</SubmitButton>
        </Form>
      )}
    </Page>
  );
}
