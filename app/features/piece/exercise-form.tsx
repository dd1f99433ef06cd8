import { Form } from "react-router";
import { Field, type Refused } from "~/components/field";
import { SubmitButton } from "~/components/submit-button";
import { words } from "~/words";
import styles from "./piece.module.css";

interface ExerciseFormProps {
  readonly title: string;
  readonly refused: Refused | undefined;
  readonly kept: string | undefined;
}

/** Keeps the piece with its passages and ladders in the room's library. */
export function ExerciseForm({ title, refused, kept }: ExerciseFormProps) {
  return (
    <Form method="post" className={styles.exercise} noValidate>
      <p className={styles.soft}>{words.piece.exerciseHow}</p>
      <input type="hidden" name="act" value="exercise" />
      <Field
        name="exercise"
        size="small"
        label={words.piece.exerciseName}
        defaultValue={title}
        refused={refused}
      />
      <SubmitButton variant="outlined">{words.piece.keepExercise}</SubmitButton>
      {kept !== undefined && <p role="status">{words.piece.exerciseKept(kept)}</p>}
    </Form>
  );
}
