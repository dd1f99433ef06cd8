import Typography from "@mui/material/Typography";
import { Form, Link } from "react-router";
import type { Refused } from "~/components/field";
import { SentForm } from "~/components/sent-form";
import { SubmitButton } from "~/components/submit-button";
import { credentialsFormSchema } from "~/forms/credentials";
import { words } from "~/words";
import { accessWords } from "~/words/access";
import { CredentialFields } from "./credential-fields";
import styles from "./access.module.css";

/** A teacher's sign-in name and password. */
export function PasswordPage({ refused }: { refused: Refused | undefined }) {
  const { password } = accessWords;
  return (
    <main className={`${styles.page} ${styles.narrow}`} id="main">
      <Typography variant="h1">{password.title}</Typography>
      <p className={styles.soft}>{password.lead}</p>
      <SentForm
        schema={credentialsFormSchema}
        values={{ signIn: "", password: "" }}
        refused={refused}
        className={styles.form}
      >
        <CredentialFields />
        <SubmitButton variant="contained">{password.submit}</SubmitButton>
      </SentForm>
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
