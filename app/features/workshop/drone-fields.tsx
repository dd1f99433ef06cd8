import FormControlLabel from "@mui/material/FormControlLabel";
import Switch from "@mui/material/Switch";
import { NumberField } from "~/components/number-field";
import { droneHz, PITCHES, soundingPitch, type Drone } from "~/core/click";
import { TRANSPOSITION_NAMES } from "~/core/units";
import { useFormats } from "~/components/locale";
import { words } from "~/words";
import { Choice } from "~/components/choice";
import styles from "./workshop.module.css";

interface DroneFieldsProps {
  readonly drone: Drone | null;
  readonly errors: Readonly<Record<string, string>>;
  readonly onChange: (drone: Drone | null) => void;
}

const { click: said } = words;

const FIRST: Drone = {
  pitch: "A",
  octave: 3,
  a: 440,
  transposition: "in C",
  alone: false,
  level: 50,
};

/** A sustained pitch, named as the player reads it, with what then sounds. */
export function DroneFields({ drone, errors, onChange }: DroneFieldsProps) {
  const formats = useFormats();
  const set = (change: Partial<Drone>) => drone && onChange({ ...drone, ...change });
  return (
    <>
      <FormControlLabel
        control={
          <Switch checked={drone !== null} onChange={(_, on) => onChange(on ? FIRST : null)} />
        }
        label={`${said.drone}: ${said.droneOn.toLowerCase()}`}
      />
      {drone && (
        <>
          <div className={styles.pair}>
            <Choice
              label={said.pitch}
              value={drone.pitch}
              options={PITCHES}
              told={(pitch) => pitch}
              onChange={(pitch) => set({ pitch })}
            />
            <NumberField
              label={said.octave}
              unit=""
              value={drone.octave}
              min={1}
              max={6}
              slider={false}
              error={errors["click.drone.octave"]}
              onChange={(octave) => set({ octave })}
            />
            <NumberField
              label={said.a}
              unit="Hz"
              value={drone.a}
              min={415}
              max={466}
              error={errors["click.drone.a"]}
              onChange={(a) => set({ a })}
            />
            <NumberField
              label={said.level}
              unit="%"
              value={drone.level}
              min={0}
              max={100}
              by={5}
              error={errors["click.drone.level"]}
              onChange={(level) => set({ level })}
            />
          </div>
          <Choice
            label={said.transposition}
            value={drone.transposition}
            options={TRANSPOSITION_NAMES}
            told={(name) => name}
            onChange={(transposition) => set({ transposition })}
          />
          <p className={styles.soft}>
            {said.sounds(soundingPitch(drone), formats.whole(droneHz(drone)))}
          </p>
          <FormControlLabel
            control={<Switch checked={drone.alone} onChange={(_, alone) => set({ alone })} />}
            label={said.alone}
          />
        </>
      )}
    </>
  );
}
