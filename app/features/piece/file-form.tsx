import { Form } from "react-router";
import type { Refused } from "~/components/field";
import { SubmitButton } from "~/components/submit-button";
import { notationWords } from "~/words/notation";
import styles from "./piece.module.css";

/** A piece from a file of notes. */
export function FileForm({ refused }: { refused: Refused | undefined }) {
  const sentence = refused?.errors.file;
  return (
    <Form method="post" encType="multipart/form-data" className={styles.file}>
      <label htmlFor="score-file">{notationWords.file}</label>
      <input
        id="score-file"
        name="file"
        type="file"
        accept=".musicxml,.xml,.mxl,.abc,.mid,.midi"
        aria-describedby="score-file-help"
        aria-invalid={sentence !== undefined}
      />
      <SubmitButton variant="contained">{notationWords.open}</SubmitButton>
      <p id="score-file-help" className={sentence ? styles.refused : styles.soft}>
        {sentence ?? notationWords.fileHelp}
      </p>
    </Form>
  );
}
