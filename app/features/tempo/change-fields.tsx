import Button from "@mui/material/Button";
import FormControlLabel from "@mui/material/FormControlLabel";
import Switch from "@mui/material/Switch";
import { useState } from "react";
import { Choice } from "~/components/choice";
import { NumberField } from "~/components/number-field";
import { CHANGE_KINDS, type TempoChange } from "~/core/score";
import { tempiWords as said } from "~/words/tempi";
import styles from "./tempo.module.css";

interface ChangeFieldsProps {
  readonly changes: readonly TempoChange[];
  readonly bars: number;
  readonly onChange: (changes: TempoChange[]) => void;
}

const PLAIN = { unit: "", min: 1, slider: false } as const;

/** What bends the time: what is there, and one more. */
export function ChangeFields({ changes, bars, onChange }: ChangeFieldsProps) {
  return (
    <>
      {changes.length > 0 && (
        <ul className={styles.changes}>
          {changes.map((change, at) => (
            <li key={at}>
              <span>{said.changeTold(change)}</span>
              <FormControlLabel
                control={
                  <Switch
                    size="small"
                    checked={change.through}
                    onChange={(_, through) => onChange(changes.with(at, { ...change, through }))}
                  />
                }
                label={said.through}
              />
              <Button
                size="small"
                color="inherit"
                onClick={() => onChange(changes.toSpliced(at, 1))}
              >
                {said.takeOut}
              </Button>
            </li>
          ))}
        </ul>
      )}
      {changes.some(({ through }) => !through) && <p className={styles.soft}>{said.silent}</p>}
      <details className={styles.bend}>
        <summary>{said.bend}</summary>
        <NewChange bars={bars} onAdd={(change) => onChange([...changes, change])} />
      </details>
    </>
  );
}

function NewChange({ bars, onAdd }: { bars: number; onAdd: (change: TempoChange) => void }) {
  const [kind, setKind] = useState<TempoChange["kind"]>("gradual");
  const [bar, setBar] = useState(bars);
  const [beat, setBeat] = useState(1);
  const [beats, setBeats] = useState(2);
  const [percent, setPercent] = useState(70);
  const [back, setBack] = useState(false);
  const gradual = kind === "gradual";
  const where = { bar, beat, beats, through: false };
  const amount = { gradual: said.over, fermata: said.held, breath: said.silence }[kind];
  return (
    <div className={styles.fields}>
      <Choice
        label={said.addChange}
        value={kind}
        options={CHANGE_KINDS}
        told={(each) => said.changeKinds[each]}
        onChange={setKind}
      />
      <NumberField label={said.bar} value={bar} max={bars} onChange={setBar} {...PLAIN} />
      <NumberField label={said.beat} value={beat} max={32} onChange={setBeat} {...PLAIN} />
      <NumberField label={amount} value={beats} max={64} onChange={setBeats} {...PLAIN} />
      {gradual && (
        <NumberField
          label={said.to}
          unit="%"
          min={20}
          max={500}
          slider={false}
          value={percent}
          onChange={setPercent}
        />
      )}
      {gradual && (
        <FormControlLabel
          control={<Switch checked={back} onChange={(_, on) => setBack(on)} />}
          label={said.back}
        />
      )}
      <Button
        variant="outlined"
        onClick={() => onAdd(gradual ? { kind, ...where, percent, back } : { kind, ...where })}
      >
        {said.addNow}
      </Button>
    </div>
  );
}
