import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import Typography from "@mui/material/Typography";
import { useEffect } from "react";
import { Controller, useFormContext, useWatch } from "react-hook-form";
import type { Refused } from "~/components/field";
import { FormField } from "~/components/form-field";
import { SAMPLE_STAIRS } from "~/components/sample-stairs";
import { SentForm, type Typed } from "~/components/sent-form";
import { Staircase } from "~/components/staircase";
import { SubmitButton } from "~/components/submit-button";
import { CredentialFields } from "~/features/access/credential-fields";
import { roomFormSchema } from "~/forms/room";
import { words } from "~/words";
import styles from "./room.module.css";

const { openRoom } = words;

const EMPTY: Typed = {
  room: "",
  teacher: "",
  self: "",
  name: "",
  instrument: "",
  signIn: "",
  password: "",
  timeZone: "UTC",
};

/** The first thing that a new teacher sees. */
export function OpenRoomForm({ refused }: { refused: Refused | undefined }) {
  return (
    <main className={`${styles.page} ${styles.opening}`}>
      <figure className={styles.drawing}>
        <Staircase steps={SAMPLE_STAIRS} target={96} comfortable={64} ceiling={84} height={330} />
        <figcaption>{openRoom.drawing}</figcaption>
      </figure>
      <div>
        <Typography variant="h1">{openRoom.title}</Typography>
        <p className={styles.lead}>{openRoom.lead}</p>
        <SentForm schema={roomFormSchema} values={EMPTY} refused={refused} className={styles.form}>
          {refused?.errors.form && (
            <p role="alert" className={styles.wide}>
              {refused.errors.form}
            </p>
          )}
          <RoomFields />
          <SubmitButton variant="contained" size="large" className={styles.wide!}>
            {openRoom.submit}
          </SubmitButton>
        </SentForm>
      </div>
    </main>
  );
}

function RoomFields() {
  const { setValue } = useFormContext<Typed>();
  const [self, timeZone] = useWatch<Typed, string[]>({ name: ["self", "timeZone"] });
  useEffect(
    () => setValue("timeZone", Intl.DateTimeFormat().resolvedOptions().timeZone),
    [setValue],
  );
  const alone = self === "on";
  return (
    <>
      <input type="hidden" name="timeZone" value={timeZone} />
      {!alone && <FormField name="room" label={openRoom.room} autoFocus />}
      <FormField name="teacher" label={openRoom.teacher} autoComplete="name" />
      <Controller<Typed>
        name="self"
        render={({ field: { ref, value, onChange, ...field } }) => (
          <FormControlLabel
            className={styles.wide!}
            control={
              <Checkbox
                {...field}
                checked={value === "on"}
                onChange={(_, on) => onChange(on ? "on" : "")}
                slotProps={{ input: { ref } }}
              />
            }
            label={openRoom.self}
          />
        )}
      />
      {!alone && <FormField name="name" label={openRoom.student} helper={openRoom.studentHelp} />}
      <FormField name="instrument" label={openRoom.instrument} helper={openRoom.optional} />
      <CredentialFields />
    </>
  );
}
