import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import { Form } from "react-router";
import type { Refused } from "~/components/field";
import { SubmitButton } from "~/components/submit-button";
import { words } from "~/words";
import styles from "./piece.module.css";

interface GiveFormProps {
  readonly others: readonly { readonly id: string; readonly name: string }[];
  readonly refused: Refused | undefined;
  /** How many were given it just now. */
  readonly given: number | undefined;
}

/** The piece with its passages and ladders for other students of the room. */
export function GiveForm({ others, refused, given }: GiveFormProps) {
  const error = refused?.errors.to;
  return (
    <Form method="post" className={styles.give}>
      <input type="hidden" name="act" value="give" />
      <p className={styles.soft}>{words.piece.giveHow}</p>
      <div>
        {others.map(({ id, name }) => (
          <FormControlLabel key={id} control={<Checkbox name="to" value={id} />} label={name} />
        ))}
      </div>
      <SubmitButton variant="outlined">{words.piece.giveIt}</SubmitButton>
      {error && <p role="alert">{error}</p>}
      {given !== undefined && <p role="status">{words.piece.given(given)}</p>}
    </Form>
  );
}
