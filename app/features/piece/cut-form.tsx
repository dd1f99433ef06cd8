import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useEffect, useMemo } from "react";
import { useFormContext } from "react-hook-form";
import type { BarRange } from "~/components/use-bar-selection";
import type { Refused } from "~/components/field";
import { FormField } from "~/components/form-field";
import { SentForm, type Typed } from "~/components/sent-form";
import { SubmitButton } from "~/components/submit-button";
import { cutFormSchema } from "~/forms/cut";
import { words } from "~/words";
import styles from "./piece.module.css";

interface CutFormProps {
  readonly piece: Parameters<typeof cutFormSchema>[0];
  readonly selection: BarRange;
  readonly onChange: (range: BarRange | undefined) => void;
  readonly refused: Refused | undefined;
}

const { cut } = words;

/** What is cut: the bars as chosen on the ribbon or typed, beats before and after, a focus. */
export function CutForm({ piece, selection, onChange, refused }: CutFormProps) {
  const schema = useMemo(() => cutFormSchema(piece), [piece]);
  const number = { type: "number", className: styles.quarter! } as const;
  const values = {
    fromBar: String(selection.fromBar),
    toBar: String(selection.toBar),
    pickupBeats: "0",
    endBeats: "0",
    name: "",
    focus: "",
  };
  return (
    <SentForm schema={schema} values={values} refused={refused} className={styles.cut}>
      <Chosen {...selection} />
      <Typography variant="h2">
        {cut.title(words.bars(selection.fromBar, selection.toBar))}
      </Typography>
      <FormField name="fromBar" label={cut.from} {...number} />
      <FormField name="toBar" label={cut.to} {...number} />
      <FormField name="pickupBeats" label={cut.pickup} helper={cut.pickupHelp} {...number} />
      <FormField name="endBeats" label={cut.end} helper={cut.endHelp} {...number} />
      <FormField name="name" label={cut.name} helper={words.openRoom.optional} />
      <FormField name="focus" label={cut.focus} helper={cut.focusHelp} />
      <SubmitButton name="act" value="cut" variant="contained">
        {cut.submit}
      </SubmitButton>
      <Button color="inherit" onClick={() => onChange(undefined)}>
        {words.cancel}
      </Button>
    </SentForm>
  );
}

/** Bars chosen anew on the ribbon take the place of those in the fields; the rest stays typed. */
function Chosen({ fromBar, toBar }: BarRange) {
  const { setValue } = useFormContext<Typed>();
  useEffect(() => {
    setValue("fromBar", String(fromBar));
    setValue("toBar", String(toBar));
  }, [setValue, fromBar, toBar]);
  return null;
}
