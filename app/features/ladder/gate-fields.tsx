import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { NumberField } from "~/components/number-field";
import { GATE_KINDS, type Gate, type GateKind } from "~/core/gate";
import { words } from "~/words";
import styles from "./ladder.module.css";

interface GateFieldsProps {
  readonly gate: Gate;
  readonly errors: Readonly<Record<string, string>>;
  readonly onChange: (gate: Gate) => void;
}

const { gate: said } = words;

function changed(kind: GateKind, plays: number): Gate {
  switch (kind) {
    case "in-a-row":
      return { kind, plays, afterFlawed: "reset" };
    case "in-all":
      return { kind, plays };
    case "of-last":
      return { kind, plays, window: Math.min(10, plays + 1) };
  }
}

/** When may I go up? */
export function GateFields({ gate, errors, onChange }: GateFieldsProps) {
  return (
    <fieldset className={styles.group}>
      <legend>{said.title}</legend>
      <TextField
        select
        size="small"
        label={said.rule}
        value={gate.kind}
        onChange={({ target }) => onChange(changed(target.value as GateKind, gate.plays))}
      >
        {GATE_KINDS.map((kind) => (
          <MenuItem key={kind} value={kind}>
            {said.kinds[kind]}
          </MenuItem>
        ))}
      </TextField>
      <NumberField
        label={said.plays}
        unit={said.clean}
        value={gate.plays}
        min={1}
        max={gate.kind === "of-last" ? 10 : 20}
        error={errors["gate.plays"]}
        onChange={(plays) => onChange({ ...gate, plays })}
      />
      {gate.kind === "of-last" && (
        <NumberField
          label={said.window}
          unit={said.playsUnit}
          value={gate.window}
          min={1}
          max={10}
          error={errors["gate.window"]}
          onChange={(window) => onChange({ ...gate, window })}
        />
      )}
      {gate.kind === "in-a-row" && (
        <TextField
          select
          size="small"
          label={said.afterFlawed}
          value={gate.afterFlawed}
          onChange={({ target }) =>
            onChange({ ...gate, afterFlawed: target.value as "reset" | "minus-one" })
          }
        >
          <MenuItem value="reset">{said.reset}</MenuItem>
          <MenuItem value="minus-one">{said.minusOne}</MenuItem>
        </TextField>
      )}
    </fieldset>
  );
}
