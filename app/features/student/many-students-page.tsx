import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import MenuItem from "@mui/material/MenuItem";
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
  readonly answer:
    Refused | { readonly tickets: readonly Ticket[]; readonly codeDays: number } | undefined;
}

const { many } = words;

/** Many students at once from a pasted list, and a sheet of what they come in with. */
export function ManyStudentsPage({ studioId, answer }: ManyStudentsPageProps) {
  const made = answer && "tickets" in answer ? answer : undefined;
  const tickets = made?.tickets;
  const refused = answer && "errors" in answer ? answer : undefined;
  return (
    <Page
      title={many.title}
      lead={made ? many.once(made.tickets.length, made.codeDays) : many.lead}
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
          <Field
            name="list"
            label={many.list}
            helper={many.columns}
            placeholder={many.example}
            refused={refused}
            multiline
            minRows={8}
            autoFocus
            slotProps={{ inputLabel: { shrink: true } }}
          />
          {refused?.errors.twice && (
            <FormControlLabel
              control={<Checkbox name="twice" value="add" />}
              label={many.addAgain}
            />
          )}
          <Field name="codes" select label={many.codes} defaultValue="day" refused={refused}>
            <MenuItem value="day">{many.codesFor.day}</MenuItem>
            <MenuItem value="week">{many.codesFor.week}</MenuItem>
          </Field>
          <SubmitButton variant="contained">{many.submit}</SubmitButton>
        </Form>
      )}
    </Page>
  );
}
