import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import { Form } from "react-router";
import type { Refused } from "~/components/field";
import { SubmitButton } from "~/components/submit-button";
import { usePages } from "~/features/paper/use-pages";
import { notationWords } from "~/words/notation";
import styles from "./piece.module.css";

interface FileFormProps {
  readonly refused: Refused | undefined;
  readonly submit: string;
  /** Whether the piece is there already, so that the file may say something else. */
  readonly forPiece?: boolean;
}

/**
 * A file of notes, or pages of paper: for a new piece, or to be laid under the bars of one. What
 * the server reads is sent as it is; pages are drawn here first.
 */
export function FileForm({ refused, submit, forPiece = false }: FileFormProps) {
  const { told, takesOver } = usePages();
  const sentence = told?.kind === "refused" ? told.sentence : refused?.errors.file;
  const busy = told?.kind === "busy";
  return (
    <Form
      method="post"
      encType="multipart/form-data"
      className={styles.file}
      onSubmit={(event) => {
        if (takesOver(new FormData(event.currentTarget))) event.preventDefault();
      }}
    >
      {forPiece && <input type="hidden" name="act" value="notes" />}
      <label htmlFor="score-file">{notationWords.file}</label>
      <input
        id="score-file"
        name="file"
        type="file"
        multiple
        accept=".musicxml,.xml,.mxl,.abc,.mid,.midi,.pdf,.png,.jpg,.jpeg"
        aria-describedby="score-file-help"
        aria-invalid={sentence !== undefined}
      />
      <SubmitButton variant="contained" disabled={busy}>
        {submit}
      </SubmitButton>
      <p
        id="score-file-help"
        className={sentence ? styles.refused : styles.soft}
        role={told ? "status" : undefined}
      >
        {sentence ?? told?.sentence ?? notationWords.fileHelp}
      </p>
      {forPiece && refused?.errors.file && !told && (
        <FormControlLabel
          className={styles.over!}
          control={<Checkbox name="over" value="on" />}
          label={notationWords.takeOver}
        />
      )}
    </Form>
  );
}
