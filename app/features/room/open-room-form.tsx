import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { Form } from "react-router";
import { Field, type Refused } from "~/components/field";
import { words } from "~/words";
import styles from "./room.module.css";

const { openRoom } = words;

/** The first thing that a new teacher sees. */
export function OpenRoomForm({ refused }: { refused: Refused | undefined }) {
  const [timeZone, setTimeZone] = useState("UTC");
  useEffect(() => setTimeZone(Intl.DateTimeFormat().resolvedOptions().timeZone), []);
  return (
    <main className={styles.page}>
      <Typography variant="h1">{openRoom.title}</Typography>
      <p className={styles.lead}>{openRoom.lead}</p>
      <Form method="post" className={styles.form} noValidate>
        <input type="hidden" name="timeZone" value={timeZone} />
        <Field name="room" label={openRoom.room} refused={refused} autoFocus />
        <Field name="teacher" label={openRoom.teacher} refused={refused} autoComplete="name" />
        <Field name="name" label={openRoom.student} refused={refused} />
        <Field
          name="instrument"
          label={openRoom.instrument}
          helper={openRoom.optional}
          refused={refused}
        />
        <Button type="submit" variant="contained" size="large">
          {openRoom.submit}
        </Button>
      </Form>
    </main>
  );
}
