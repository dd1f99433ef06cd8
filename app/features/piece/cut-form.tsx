import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import MenuItem from "@mui/material/MenuItem";
import Typography from "@mui/material/Typography";
import { useEffect, useMemo } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import type { BeatRange } from "~/components/use-bar-selection";
import type { Refused } from "~/components/field";
import { FormField } from "~/components/form-field";
import { SentForm, type Typed } from "~/components/sent-form";
import { SubmitButton } from "~/components/submit-button";
import { metreAt, orderWithin, PASSAGE_NOTES, type PassageNotes, type Score } from "~/core/score";
import { cutFormSchema } from "~/forms/cut";
import { words } from "~/words";
import { notationWords } from "~/words/notation";
import styles from "./piece.module.css";

interface CutFormProps {
  readonly piece: Parameters<typeof cutFormSchema>[0];
  readonly selection: BeatRange;
  readonly onChange: (range: BeatRange | undefined) => void;
  /** Which of its notes a passage can be, besides all of them. */
  readonly notes: readonly PassageNotes[];
  /** The notes, where there are any: repeats may lie in what is chosen. */
  readonly score: Score | undefined;
  readonly refused: Refused | undefined;
}

const { cut } = words;

/** What is cut: the bars as chosen on the ribbon or typed, beats before and after, a focus. */
export function CutForm({ piece, selection, onChange, notes, score, refused }: CutFormProps) {
  const schema = useMemo(() => cutFormSchema(piece), [piece]);
  const played = score ? orderWithin(score, selection).length : 0;
  const number = { type: "number", className: styles.quarter! } as const;
  const values = { ...textOf(selection), onlyNotes: "all", name: "", focus: "" };
  return (
    <SentForm schema={schema} values={values} refused={refused} className={styles.cut}>
      <Chosen range={selection} metres={piece.metres} />
      <Typography variant="h2">
        {cut.title(words.bars(selection.fromBar, selection.toBar))}
      </Typography>
      <FormField name="fromBar" label={cut.from} {...number} />
      <FormField name="toBar" label={cut.to} {...number} />
      <FormField name="pickupBeats" label={cut.pickup} helper={cut.pickupHelp} {...number} />
      <FormField name="startBeats" label={cut.start} helper={cut.startHelp} {...number} />
      <FormField name="endBeats" label={cut.end} helper={cut.endHelp} {...number} />
      {notes.length > 0 ? (
        <FormField name="onlyNotes" label={notationWords.onlyNotes} select>
          {(["all", ...notes] as const).map((each) => (
            <MenuItem key={each} value={each}>
              {notationWords.only[each]}
            </MenuItem>
          ))}
        </FormField>
      ) : (
        <input type="hidden" name="onlyNotes" value="all" />
      )}
      <FormField name="name" label={cut.name} helper={words.openRoom.optional} />
      <FormField name="focus" label={cut.focus} helper={cut.focusHelp} />
      {played > selection.toBar - selection.fromBar + 1 && (
        <FormControlLabel
          className={styles.wideLine!}
          control={<Checkbox name="withRepeats" value="on" />}
          label={notationWords.withRepeats(played)}
        />
      )}
      <SubmitButton name="act" value="cut" variant="contained">
        {cut.submit}
      </SubmitButton>
      <Button color="inherit" onClick={() => onChange(undefined)}>
        {words.cancel}
      </Button>
    </SentForm>
  );
}

const textOf = ({ fromBar, toBar, pickupBeats, startBeats, endBeats }: BeatRange): Typed => {
  const range = { fromBar, toBar, pickupBeats, startBeats, endBeats };
  return Object.fromEntries(Object.entries(range).map(([name, value]) => [name, String(value)]));
};

interface ChosenProps {
  readonly range: BeatRange;
  readonly metres: CutFormProps["piece"]["metres"];
}

/**
 * What is chosen anew on the bars takes the place of what is in the fields; the rest stays typed.
 * What is not all of its bars gets a name that says so, unless another is typed.
 */
function Chosen({ range, metres }: ChosenProps) {
  const { setValue, getFieldState } = useFormContext<Typed>();
  const only = useWatch<Typed>({ name: "onlyNotes" });
  useEffect(() => {
    for (const [name, value] of Object.entries(textOf(range))) setValue(name, value);
  }, [setValue, range]);
  useEffect(() => {
    if (getFieldState("name").isDirty) return;
    const notes = PASSAGE_NOTES.find((each) => each === only) ?? "all";
    setValue("name", nameOf(range, metres, notes));
  }, [setValue, getFieldState, range, metres, only]);
  return null;
}

/** "bar 12, beats 2–3, right hand"; nothing for whole bars. */
function nameOf(range: BeatRange, metres: ChosenProps["metres"], only: PassageNotes): string {
  const { fromBar, toBar, startBeats, endBeats } = range;
  if (only === "all" && startBeats === 0 && endBeats === 0) return "";
  const end = endBeats === 0 ? metreAt(metres, toBar).beats : endBeats;
  const within = fromBar === toBar && (startBeats > 0 || endBeats > 0);
  const beats = within
    ? notationWords.beats(startBeats + 1, end)
    : [
        startBeats > 0 && notationWords.fromBeat(startBeats + 1),
        endBeats > 0 && notationWords.toBeat(endBeats),
      ]
        .filter(Boolean)
        .join(" ");
  return notationWords.called(words.bars(fromBar, toBar), beats, only);
}
