import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import { Form } from "react-router";
import type { Refused } from "~/components/field";
import { SubmitButton } from "~/components/submit-button";
import { notationWords } from "~/words/notation";
import styles from "./piece.module.css";

interface FileFormProps {
  readonly refused: Refused | undefined;
  readonly submit: string;
  /** Whether the piece is there already, so that the file may say something else. */
  readonly forPiece?: boolean;
}

/** A file of notes: for a new piece, or to be laid under the bars of one. */
export function FileForm({ refused, submit, forPiece = false }: FileFormProps) {
  const sentence = refused?.errors.file;
  return (
    <Form method="post" encType="multipart/form-data" className={styles.file}>
      {forPiece && <input type="hidden" name="act" value="notes" />}
      <label htmlFor="score-file">{notationWords.file}</label>
      <input
        id="score-file"
        name="file"
        type="file"
        accept=".musicxml,.xml,.mxl,.abc,.mid,.midi"
        aria-describedby="score-file-help"
        aria-invalid={sentence !== undefined}
      />
      <SubmitButton variant="contained">{submit}</SubmitButton>
      <p id="score-file-help" className={sentence ? styles.refused : styles.soft}>
        {sentence ?? notationWords.fileHelp}
      </p>
      {forPiece && sentence && (
        <FormControlLabel
          className={styles.over!}
          control={<Checkbox name="over" value="on" />}
          label={notationWords.takeOver}
        />
      )}
    </Form>
  );
}
