import { Form } from "react-router";
import { Field, type Refused } from "~/components/field";
import { Page } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import { words } from "~/words";
import styles from "./student.module.css";

export function StudentForm(props: { studioId: string; refused: Refused | undefined }) {
  const { studioId, refused } = props;
  return (
    <Page
      title={words.studentForm.title}
      back={{ to: `/studio/${studioId}`, label: words.desk.week }}
    >
      <Form method="post" className={styles.form} noValidate>
        <Field name="name" label={words.studentForm.name} refused={refused} autoFocus />
        <Field
          name="instrument"
          label={words.openRoom.instrument}
          helper={words.openRoom.optional}
          refused={refused}
        />
        <SubmitButton variant="contained">{words.studentForm.submit}</SubmitButton>
      </Form>
    </Page>
  );
}
