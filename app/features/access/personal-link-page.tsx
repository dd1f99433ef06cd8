import Typography from "@mui/material/Typography";
import { Form } from "react-router";
import type { Refused } from "~/components/field";
import { SubmitButton } from "~/components/submit-button";
import { accessWords } from "~/words/access";
import styles from "./access.module.css";

/** One press between the link and the practice: what only looks ahead comes no further. */
export function PersonalLinkPage({ refused }: { refused: Refused | undefined }) {
  const { link } = accessWords;
  return (
    <main className={`${styles.page} ${styles.narrow}`} id="main">
      <Typography variant="h1">{link.title}</Typography>
      <p>{link.lead}</p>
      {refused?.errors.form && <p role="alert">{refused.errors.form}</p>}
      <Form method="post">
        <SubmitButton variant="contained" size="large">
          {link.submit}
        </SubmitButton>
      </Form>
    </main>
  );
}
