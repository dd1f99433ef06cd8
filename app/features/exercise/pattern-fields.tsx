import FormControlLabel from "@mui/material/FormControlLabel";
import Switch from "@mui/material/Switch";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { Choice } from "~/components/choice";
import { NumberField } from "~/components/number-field";
import {
  CHORD_NAMES,
  PATTERN_KINDS,
  SCALE_NAMES,
  type Pattern,
  type ScaleRow,
} from "~/core/exercise";
import { exerciseWords as said } from "~/words/exercise";

interface PatternFieldsProps {
  readonly pattern: Pattern;
  readonly onChange: (pattern: Pattern) => void;
  readonly row: Readonly<ScaleRow>;
  readonly onRow: (row: ScaleRow) => void;
}

const SCALES = [...SCALE_NAMES, "typed"] as const;

const FORMS = ["straight", "broken", "blocked"] as const;
const INTERVALS = ["2", "3", "4", "5", "6", "7", "8"] as const;

/** Another kind of exercise, with what it shares with the one before. */
function patternOf(kind: Pattern["kind"], before: Pattern): Pattern {
  const scale = "scale" in before ? before.scale : ("major" as const);
  const octaves = "octaves" in before ? before.octaves : 1;
  const times = "times" in before ? Math.min(8, Math.max(2, before.times)) : 4;
  switch (kind) {
    case "scale":
      return { kind, scale, octaves };
    case "arpeggio":
      return { kind, chord: "major", octaves, form: "straight", inversion: 0 };
    case "five-note":
      return { kind, scale };
    case "intervals":
      return { kind, scale, octaves, interval: 3, together: false };
    case "degrees":
      return { kind, scale, octaves, figure: [1, 2, 3, 1] };
    case "repeated":
      return { kind, scale, octaves, times };
    case "shifts":
      return { kind, scale, reach: 5 };
    case "sticking":
      return { kind, hands: ["R", "L", "R", "R", "L", "R", "L", "L"], times };
  }
}

/** What an exercise is made of. */
export function PatternFields({ pattern, onChange, row, onRow }: PatternFieldsProps) {
  return (
    <>
      <Choice
        label={said.what}
        value={pattern.kind}
        options={PATTERN_KINDS}
        told={(kind) => said.kinds[kind]}
        onChange={(kind) => onChange(patternOf(kind, pattern))}
      />
      {"scale" in pattern && (
        <Choice
          label={said.scale}
          value={pattern.scale}
          options={SCALES}
          told={(scale) => said.scales[scale]}
          onChange={(scale) => onChange({ ...pattern, scale })}
        />
      )}
      {"scale" in pattern && pattern.scale === "typed" && <Row row={row} onChange={onRow} />}
      {pattern.kind === "scale" && (
        <FormControlLabel
          control={
            <Switch
              checked={pattern.arpeggio === true}
              onChange={(_, arpeggio) => onChange({ ...pattern, arpeggio })}
            />
          }
          label={said.arpeggioAfter}
        />
      )}
      {pattern.kind === "arpeggio" && (
        <>
          <Choice
            label={said.chord}
            value={pattern.chord}
            options={CHORD_NAMES}
            told={(chord) => said.chords[chord]}
            onChange={(chord) => onChange({ ...pattern, chord })}
          />
          <Choice
            label={said.form}
            value={pattern.form}
            options={FORMS}
            told={(form) => said.forms[form]}
            onChange={(form) => onChange({ ...pattern, form })}
          />
          {pattern.form === "straight" && (
            <NumberField
              label={said.inversion}
              unit=""
              min={1}
              max={4}
              slider={false}
              value={pattern.inversion + 1}
              onChange={(tone) => onChange({ ...pattern, inversion: tone - 1 })}
            />
          )}
        </>
      )}
      {pattern.kind === "intervals" && (
        <>
          <Choice
            label={said.interval}
            value={String(pattern.interval) as (typeof INTERVALS)[number]}
            options={INTERVALS}
            told={(degrees) => said.intervals(Number(degrees))}
            onChange={(degrees) => onChange({ ...pattern, interval: Number(degrees) })}
          />
          <FormControlLabel
            control={
              <Switch
                checked={pattern.together}
                onChange={(_, together) => onChange({ ...pattern, together })}
              />
            }
            label={said.together}
          />
        </>
      )}
      {pattern.kind === "degrees" && (
        <Typed
          label={said.figure}
          helper={said.figureHow}
          typed={pattern.figure.join(" ")}
          onType={(typed) => onChange({ ...pattern, figure: parts(typed).map(Number) })}
        />
      )}
      {pattern.kind === "sticking" && (
        <Typed
          label={said.hands}
          helper={said.handsHow}
          typed={pattern.hands.join(" ")}
          onType={(typed) =>
            onChange({ ...pattern, hands: [...typed.toUpperCase().replace(/\s/g, "")] as "R"[] })
          }
        />
      )}
      {pattern.kind === "shifts" && (
        <NumberField
          label={said.reach}
          unit=""
          min={2}
          max={8}
          slider={false}
          value={pattern.reach}
          onChange={(reach) => onChange({ ...pattern, reach })}
        />
      )}
      {"times" in pattern && (
        <NumberField
          label={said.times}
          unit=""
          min={pattern.kind === "sticking" ? 1 : 2}
          max={pattern.kind === "sticking" ? 32 : 8}
          slider={false}
          value={pattern.times}
          onChange={(times) => onChange({ ...pattern, times })}
        />
      )}
      {"octaves" in pattern && (
        <NumberField
          label={said.octaves}
          unit=""
          min={1}
          max={5}
          slider={false}
          value={pattern.octaves}
          onChange={(octaves) => onChange({ ...pattern, octaves })}
        />
      )}
    </>
  );
}

const parts = (typed: string): string[] => typed.split(/[\s,]+/).filter(Boolean);

interface TypedProps {
  readonly label: string;
  readonly helper: string;
  readonly typed: string;
  readonly onType: (typed: string) => void;
}

/** A row of signs that stays as it is typed, whether it can be read or not. */
function Typed({ label, helper, typed: first, onType }: TypedProps) {
  const [typed, setTyped] = useState(first);
  return (
    <TextField
      size="small"
      label={label}
      helperText={helper}
      value={typed}
      onChange={({ target }) => {
        setTyped(target.value);
        onType(target.value);
      }}
    />
  );
}

const SIGNS: Readonly<Record<string, -1 | 0 | 1>> = { "♭": -1, b: -1, "♯": 1, "#": 1 };

/** "♭3" as a degree; what is none becomes one that is refused. */
function degreeTyped(typed: string): ScaleRow[number] {
  const match = /^([♭b♯#]?)([1-7])$/.exec(typed);
  return match
    ? { degree: Number(match[2]), alter: SIGNS[match[1]!] ?? 0 }
    : { degree: NaN, alter: 0 };
}

const signOf = (alter: number): string => (alter < 0 ? "♭" : alter > 0 ? "♯" : "");

/** The degrees of a scale that has no name: "1 ♭2 3 4 5 ♭6 ♭7". */
function Row({ row, onChange }: { row: Readonly<ScaleRow>; onChange: (row: ScaleRow) => void }) {
  return (
    <Typed
      label={said.row}
      helper={said.rowHow}
      typed={row.map(({ degree, alter }) => signOf(alter) + degree).join(" ")}
      onType={(typed) => onChange(parts(typed).map(degreeTyped))}
    />
  );
}
