import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { Form } from "react-router";
import type { BarRange } from "~/components/bar-ribbon";
import { Field, type Refused } from "~/components/field";
import { SubmitButton } from "~/components/submit-button";
import { words } from "~/words";
import styles from "./piece.module.css";

interface CutFormProps {
  readonly selection: BarRange;
  readonly onChange: (range: BarRange | undefined) => void;
  readonly refused: Refused | undefined;
}

const { cut } = words;

/** What is cut: the bars as chosen on the ribbon or typed, beats before and after, a focus. */
export function CutForm({ selection, onChange, refused }: CutFormProps) {
  const number = { type: "number", className: styles.quarter! } as const;
  return (
    <Form method="post" className={styles.cut} noValidate>
      <Typography variant="h2">
        {cut.title(words.bars(selection.fromBar, selection.toBar))}
      </Typography>
      <Field
        name="fromBar"
        label={cut.from}
        refused={refused}
        defaultValue={selection.fromBar}
        {...number}
      />
      <Field
        name="toBar"
        label={cut.to}
        refused={refused}
        defaultValue={selection.toBar}
        {...number}
      />
      <Field
        name="pickupBeats"
        label={cut.pickup}
        helper={cut.pickupHelp}
        refused={refused}
        defaultValue="0"
        {...number}
      />
      <Field
        name="endBeats"
        label={cut.end}
        helper={cut.endHelp}
        refused={refused}
        defaultValue="0"
        {...number}
      />
      <Field name="name" label={cut.name} helper={words.openRoom.optional} refused={refused} />
      <Field name="focus" label={cut.focus} helper={cut.focusHelp} refused={refused} />
      <SubmitButton name="act" value="cut" variant="contained">
        {cut.submit}
      </SubmitButton>
      <Button color="inherit" onClick={() => onChange(undefined)}>
        {words.cancel}
      </Button>
    </Form>
  );
}
