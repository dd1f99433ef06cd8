import FormControlLabel from "@mui/material/FormControlLabel";
import Switch from "@mui/material/Switch";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { Form } from "react-router";
import * as v from "valibot";
import { Choice } from "~/components/choice";
import type { Refused } from "~/components/field";
import { NumberField } from "~/components/number-field";
import { Page, Section } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import {
  compassOf,
  type Compass,
  DIRECTIONS,
  exerciseIn,
  madeSchema,
  MAJOR_ROW,
  RHYTHMS,
  type Made,
  type Recipe,
} from "~/core/exercise";
import { formatTonic, parseKey, TRANSPOSITION_NAMES } from "~/core/units";
import { exerciseWords as said } from "~/words/exercise";
import { ExerciseNotes } from "./exercise-notes";
import { Drawn, type DrawnProps } from "./drawn";
import { Hear } from "./hear";
import { PatternFields } from "./pattern-fields";
import styles from "./exercise.module.css";

interface ExercisePageProps extends DrawnProps {
  readonly studioId: string;
  readonly person: { readonly id: string; readonly name: string; readonly instrument: string };
  readonly compass: Compass | undefined;
  readonly refused: Refused | undefined;
}

const CLEFS = ["treble", "bass", "alto", "tenor"] as const;
const USUAL_BPM = 72;
const C = { letter: "C", accidental: 0 } as const;

/** An exercise as it is typed: read by the same schema as on the server, and tried in its key. */
function check(recipe: Recipe, tonicTyped: string) {
  const key = parseKey(tonicTyped);
  if (!key) return { ok: false, sentence: said.noTonic } as const;
  const { letter, accidental } = key;
  const read = v.safeParse(madeSchema, { recipe, tonic: { letter, accidental } });
  if (!read.success) return { ok: false, sentence: read.issues[0].message } as const;
  const music = exerciseIn(read.output.recipe, read.output.tonic);
  if (!music.ok) return { ok: false, sentence: music.error } as const;
  return { ok: true, made: read.output } as const;
}

/** Makes a scale, a chord, a figure: seen in notation while it is made. */
export function ExercisePage(props: ExercisePageProps) {
  const { studioId, person, refused } = props;
  const [recipe, setRecipe] = useState<Recipe>(() => ({
    pattern: { kind: "scale", scale: "major", octaves: 1 },
    direction: "up-down",
    rhythm: "eighth",
    words: "",
    ...(props.compass ?? compassOf(person.instrument)),
  }));
  const [tonic, setTonic] = useState("C");
  const [named, setNamed] = useState<string | undefined>(undefined);
  const [markBpm, setMarkBpm] = useState(USUAL_BPM);
  const change = (part: Partial<Recipe>) => setRecipe((before) => ({ ...before, ...part }));
  const checked = check(recipe, tonic);
  const [good, setGood] = useState<Made | undefined>(checked.ok ? checked.made : undefined);
  const text = checked.ok ? JSON.stringify(checked.made) : undefined;
  if (checked.ok && JSON.stringify(good) !== text) setGood(checked.made);
  const here = `/studio/${studioId}/students/${person.id}`;
  const { tonic: on } = good ?? { tonic: C };
  const title = named ?? said.named(recipe, formatTonic(on));
  const sentence = checked.ok ? refused?.errors.made : checked.sentence;
  return (
    <Page title={said.title} lead={said.for(person.name)} back={{ to: here, label: person.name }}>
      <Form method="post" className={styles.maker} noValidate>
        <input type="hidden" name="made" value={text ?? ""} />
        <div className={styles.fields}>
          <TextField
            size="small"
            label={said.tonic}
            helperText={said.tonicHow}
            value={tonic}
            onChange={({ target }) => setTonic(target.value)}
          />
          <PatternFields
            pattern={recipe.pattern}
            onChange={(pattern) => change({ pattern })}
            row={recipe.row ?? MAJOR_ROW}
            onRow={(row) => change({ row })}
          />
          {recipe.pattern.kind !== "sticking" && (
            <Choice
              label={said.direction}
              value={recipe.direction}
              options={DIRECTIONS}
              told={(direction) => said.directions[direction]}
              onChange={(direction) => change({ direction })}
            />
          )}
          <Choice
            label={said.rhythm}
            value={recipe.rhythm}
            options={RHYTHMS}
            told={(rhythm) => said.rhythms[rhythm]}
            onChange={(rhythm) => change({ rhythm })}
          />
          <TextField
            size="small"
            label={said.words}
            value={recipe.words}
            onChange={({ target }) => change({ words: target.value })}
          />
          {recipe.pattern.kind !== "sticking" && (
            <>
              <TextField
                size="small"
                label={said.lowest}
                value={recipe.lowest}
                onChange={({ target }) => change({ lowest: target.value })}
              />
              <TextField
                size="small"
                label={said.highest}
                value={recipe.highest}
                onChange={({ target }) => change({ highest: target.value })}
              />
              <Choice
                label={said.clef}
                value={recipe.clef}
                options={CLEFS}
                told={(clef) => said.clefs[clef]}
                onChange={(clef) => change({ clef })}
              />
              <Choice
                label={said.reads}
                value={recipe.reads ?? "in C"}
                options={TRANSPOSITION_NAMES}
                told={(reads) => reads}
                onChange={(reads) => change({ reads })}
              />
              <FormControlLabel
                control={
                  <Switch
                    checked={recipe.bothHands}
                    onChange={(_, bothHands) => change({ bothHands })}
                  />
                }
                label={said.bothHands}
              />
            </>
          )}
        </div>
        <Section title={said.notes}>
          {sentence && <p role="alert">{sentence}</p>}
          {good && <Hear key={JSON.stringify(good)} made={good} bpm={markBpm} />}
          {good && <ExerciseNotes address={`${here}/exercise/notation`} made={good} />}
        </Section>
        <div className={styles.keep}>
          <TextField
            size="small"
            name="title"
            label={said.name}
            value={title}
            error={refused?.errors.title !== undefined}
            helperText={refused?.errors.title}
            onChange={({ target }) => setNamed(target.value)}
          />
          <input type="hidden" name="markBpm" value={String(markBpm)} />
          <NumberField
            label={said.tempo}
            unit="bpm"
            min={10}
            max={400}
            slider={false}
            value={markBpm}
            error={refused?.errors.markBpm}
            onChange={setMarkBpm}
          />
          <SubmitButton variant="contained" disabled={!checked.ok}>
            {said.submit}
          </SubmitButton>
        </div>
      </Form>
      <Drawn {...props} />
    </Page>
  );
}
