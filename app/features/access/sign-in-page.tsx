import Typography from "@mui/material/Typography";
import { Form, Link } from "react-router";
import { Field, type Refused } from "~/components/field";
import { SAMPLE_STAIRS } from "~/components/sample-stairs";
import { Staircase } from "~/components/staircase";
import { SubmitButton } from "~/components/submit-button";
import { accessWords } from "~/words/access";
import styles from "./access.module.css";

interface DemoPerson {
  readonly id: string;
  readonly name: string;
  readonly role: "teacher" | "student" | "parent";
  readonly instrument: string;
  /** The group that they are taught with, where they have no lessons of their own. */
  readonly plays_in: string | null;
}

interface SignInPageProps {
  readonly people: readonly DemoPerson[];
  readonly refused: Refused | undefined;
}

const { signIn } = accessWords;

/** Two ways in: a teacher's password, a student's code; in the demo one press. */
export function SignInPage({ people, refused }: SignInPageProps) {
  return (
    <main className={styles.page} id="main">
      <header className={styles.first}>
        <div>
          <Typography variant="h1">{signIn.what}</Typography>
          <p className={styles.soft}>{signIn.whatMore}</p>
        </div>
        <Staircase steps={SAMPLE_STAIRS} target={96} comfortable={64} ceiling={84} height={230} />
      </header>
      {people.length > 0 && <DemoPeople people={people} refused={refused} />}
      <div className={styles.ways}>
        <section>
          <Typography variant="h2">{signIn.teacher}</Typography>
          <Form method="post" className={styles.form} noValidate>
            <input type="hidden" name="way" value="password" />
            <Field name="name" label={signIn.name} refused={refused} autoComplete="username" />
            <Field
              name="password"
              type="password"
              label={signIn.password}
              refused={refused}
              autoComplete="current-password"
            />
            <SubmitButton variant="contained">{signIn.submit}</SubmitButton>
          </Form>
        </section>
        <section>
          <Typography variant="h2">{signIn.student}</Typography>
          <Form method="post" className={styles.form} noValidate>
            <input type="hidden" name="way" value="code" />
            <p className={styles.soft}>{signIn.studentLead}</p>
            <Field name="code" label={signIn.code} refused={refused} autoComplete="off" />
            <SubmitButton variant="outlined">{signIn.codeSubmit}</SubmitButton>
          </Form>
        </section>
      </div>
      <p>
        <Link to="/open">{signIn.open}</Link>
      </p>
    </main>
  );
}

function DemoPeople({ people, refused }: SignInPageProps) {
  const groups = [...new Set(people.flatMap(({ plays_in }) => plays_in ?? []))];
  return (
    <section className={styles.demo}>
      <Typography variant="h2">{signIn.demo}</Typography>
      <p className={styles.soft}>{signIn.demoLead}</p>
      {refused?.errors.form && <p role="alert">{refused.errors.form}</p>}
      <Form method="post">
        <input type="hidden" name="way" value="demo" />
        <People people={people.filter(({ plays_in }) => plays_in === null)} />
        {groups.map((group) => (
          <details key={group}>
            <summary>{signIn.playersOf(group)}</summary>
            <People people={people.filter(({ plays_in }) => plays_in === group)} />
          </details>
        ))}
      </Form>
    </section>
  );
}

function People({ people }: Pick<SignInPageProps, "people">) {
  return (
    <ul className={styles.people}>
      {people.map(({ id, name, role, instrument }) => (
        <li key={id}>
          <SubmitButton variant="outlined" name="person" value={id} fullWidth>
            <span className={styles.person}>
              <strong>{name}</strong>
              <span>{instrument || signIn.as[role]}</span>
            </span>
          </SubmitButton>
        </li>
      ))}
    </ul>
  );
}
