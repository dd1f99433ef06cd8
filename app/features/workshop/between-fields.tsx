import FormControlLabel from "@mui/material/FormControlLabel";
import FormHelperText from "@mui/material/FormHelperText";
import Switch from "@mui/material/Switch";
import TextField from "@mui/material/TextField";
import { NumberField } from "~/components/number-field";
import { COUNT_IN_BARS, LONGEST_BREATHER_SECONDS, type Breather, type CountIn } from "~/core/click";
import { words } from "~/words";
import { Choice } from "~/components/choice";
import type { PartProps } from "./part-props";

const { between: said } = words;

const LENGTHS = COUNT_IN_BARS.map(String);
const BREATHERS: Record<Breather["kind"], Breather> = {
  seconds: { kind: "seconds", seconds: 4 },
  "in-time": { kind: "in-time" },
};
const KINDS = ["seconds", "in-time"] as const;

/** What lies between two plays: how long is counted in, how long is breathed. */
export function BetweenFields({ draft, errors, onChange }: PartProps) {
  const { click } = draft;
  const { countIn, breather } = click;
  const counted = (change: Partial<CountIn>) =>
    onChange({ click: { ...click, countIn: { ...countIn, ...change } } });
  const breathed = (next: Breather) => onChange({ click: { ...click, breather: next } });
  const inTime = breather.kind === "in-time";
  return (
    <>
      <Choice
        label={said.countIn}
        value={String(countIn.bars)}
        options={LENGTHS}
        told={(length) => said.bars(Number(length) as CountIn["bars"])}
        onChange={(length) => counted({ bars: Number(length) as CountIn["bars"] })}
        error={errors["click.countIn.bars"]}
      />
      <FormControlLabel
        control={
          <Switch
            checked={inTime || countIn.firstOnly}
            disabled={inTime}
            onChange={(_, firstOnly) => counted({ firstOnly })}
          />
        }
        label={said.firstOnly}
      />
      <FormControlLabel
        control={<Switch checked={countIn.inner} onChange={(_, inner) => counted({ inner })} />}
        label={said.inner}
      />
      <NumberField
        label={said.subdivision}
        unit={said.perBeat}
        value={countIn.subdivision}
        min={1}
        max={8}
        error={errors["click.countIn.subdivision"]}
        onChange={(subdivision) => counted({ subdivision })}
      />
      <Choice
        label={said.breather}
        value={breather.kind}
        options={KINDS}
        told={(kind) => said.breathers[kind]}
        onChange={(kind) => breathed(BREATHERS[kind])}
      />
      {breather.kind === "seconds" ? (
        <NumberField
          label={said.seconds}
          unit={said.atLeast}
          value={breather.seconds}
          min={0}
          max={LONGEST_BREATHER_SECONDS}
          error={errors["click.breather.seconds"]}
          onChange={(seconds) => breathed({ kind: "seconds", seconds })}
        />
      ) : (
        <FormHelperText>{said.inTime}</FormHelperText>
      )}
      <TextField
        label={said.breathe}
        value={draft.breathe}
        error={errors.breathe !== undefined}
        helperText={errors.breathe ?? said.breatheTold}
        slotProps={{ htmlInput: { list: "breathe", maxLength: 40 } }}
        onChange={({ target }) => onChange({ breathe: target.value })}
      />
      <datalist id="breathe">
        <option value={said.breatheUsual} />
      </datalist>
    </>
  );
}
