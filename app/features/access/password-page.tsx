import Typography from "@mui/material/Typography";
import { Form, Link } from "react-router";
import { Field, type Refused } from "~/components/field";
import { SubmitButton } from "~/components/submit-button";
import { words } from "~/words";
import { accessWords } from "~/words/access";
import styles from "./access.module.css";

/** A teacher's sign-in name and password. */
export function PasswordPage({ refused }: { refused: Refused | undefined }) {
  const { password } = accessWords;
  const { openRoom } = words;
  return (
    <main className={`${styles.page} ${styles.narrow}`} id="main">
      <Typography variant="h1">{password.title}</Typography>
      <p className={styles.soft}>{password.lead}</p>
      <Form method="post" className={styles.form} noValidate>
        <Field
          name="signIn"
          label={openRoom.signIn}
          helper={openRoom.signInHelp}
          refused={refused}
          autoComplete="username"
        />
        <Field
          name="password"
          type="password"
          label={openRoom.password}
          helper={openRoom.passwordHelp}
          refused={refused}
          autoComplete="new-password"
        />
        <SubmitButton variant="contained">{password.submit}</SubmitButton>
      </Form>
      <Form method="post" action="/sign-out" className={styles.form}>
        <input type="hidden" name="everywhere" value="yes" />
        <SubmitButton variant="outlined">{accessWords.page.everywhere}</SubmitButton>
      </Form>
      <p>
        <Link to="/">{words.trouble.home}</Link>
      </p>
    </main>
  );
}
