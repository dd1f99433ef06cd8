import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { Form } from "react-router";
import { Field, type Refused } from "~/components/field";
import { SAMPLE_STAIRS } from "~/components/sample-stairs";
import { Staircase } from "~/components/staircase";
import { SubmitButton } from "~/components/submit-button";
import { CredentialFields } from "~/features/access/credential-fields";
import { words } from "~/words";
import styles from "./room.module.css";

const { openRoom } = words;

/** The first thing that a new teacher sees. */
export function OpenRoomForm({ refused }: { refused: Refused | undefined }) {
  const [timeZone, setTimeZone] = useState("UTC");
  const [self, setSelf] = useState(refused?.values.self === "on");
  useEffect(() => setTimeZone(Intl.DateTimeFormat().resolvedOptions().timeZone), []);
  return (
    <main className={`${styles.page} ${styles.opening}`}>
      <figure className={styles.drawing}>
        <Staircase steps={SAMPLE_STAIRS} target={96} comfortable={64} ceiling={84} height={330} />
        <figcaption>{openRoom.drawing}</figcaption>
      </figure>
      <div>
        <Typography variant="h1">{openRoom.title}</Typography>
        <p className={styles.lead}>{openRoom.lead}</p>
        <Form method="post" className={styles.form} noValidate>
          <input type="hidden" name="timeZone" value={timeZone} />
          {!self && <Field name="room" label={openRoom.room} refused={refused} autoFocus />}
          <Field name="teacher" label={openRoom.teacher} refused={refused} autoComplete="name" />
          <FormControlLabel
            className={styles.wide!}
            control={<Checkbox name="self" checked={self} onChange={(_, on) => setSelf(on)} />}
            label={openRoom.self}
          />
          {!self && <Field name="name" label={openRoom.student} refused={refused} />}
          <Field
            name="instrument"
            label={openRoom.instrument}
            helper={openRoom.optional}
            refused={refused}
          />
          <CredentialFields refused={refused} />
          <SubmitButton variant="contained" size="large" className={styles.wide!}>
            {openRoom.submit}
          </SubmitButton>
        </Form>
      </div>
    </main>
  );
}
