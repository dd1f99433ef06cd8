import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import { Form } from "react-router";
import { words } from "~/words";
import { ChooseStudents, type StudentToChoose } from "./choose-students";
import type { Refused } from "./field";
import styles from "./give-form.module.css";
import { SubmitButton } from "./submit-button";

interface GiveFormProps {
  /** What they get, as a sentence. */
  readonly how: string;
  /** What can be chosen of it; everything goes without these. */
  readonly items?: readonly { readonly id: string; readonly title: string }[];
  readonly others: readonly StudentToChoose[];
  readonly refused: Refused | undefined;
  /** How many were given it just now. */
  readonly given: number | undefined;
}

/** Gives something to other students of the room. */
export function GiveForm({ how, items = [], others, refused, given }: GiveFormProps) {
  const error = refused?.errors.to;
  return (
    <Form method="post" className={styles.give}>
      <input type="hidden" name="act" value="give" />
      <p className={styles.soft}>{how}</p>
      {items.length > 0 && (
        <fieldset className={styles.choice}>
          <legend>{words.piece.giveWhat}</legend>
          {items.map(({ id, title }) => (
            <FormControlLabel
              key={id}
              control={<Checkbox name="item" value={id} defaultChecked />}
              label={title}
            />
          ))}
        </fieldset>
      )}
      <ChooseStudents name="to" label={words.piece.giveWhom} students={others} error={error} />
      <SubmitButton variant="outlined">{words.piece.giveIt}</SubmitButton>
      {given !== undefined && <p role="status">{words.piece.given(given)}</p>}
    </Form>
  );
}
