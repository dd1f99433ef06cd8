import Button from "@mui/material/Button";
import { useState } from "react";
import { words } from "~/words/stand-words";
import { Sheet } from "./sheet";
import type { TakeChoice } from "./take-choice";
import styles from "./sheets.module.css";

const { sheet: said } = words.take;
const KEY = "fidus-take";
/** As late as a usual device is. */
const SIMULATED_SECONDS = 0.12;

interface TakeSheetProps {
  readonly open: boolean;
  /** A stand-in for the microphone is offered. */
  readonly trial: boolean;
  readonly onClose: () => void;
  readonly onRecord: (choice: TakeChoice) => void;
}

/** Says why the microphone is asked for, and how the click is heard meanwhile. */
export function TakeSheet({ open, ...props }: TakeSheetProps) {
  return open ? <TakeForm {...props} /> : null;
}

const keptChoice = (name: string) => localStorage.getItem(`${KEY}-${name}`);
/** How late the stand-in is, where somebody has set it on this device. */
const delaySet = () => keptChoice("delay");
const delaySeconds = () => Number(delaySet() ?? SIMULATED_SECONDS);

/** What was chosen before on this device; undefined before the first time. */
export function lastTakeChoice(trial: boolean): TakeChoice | undefined {
  const hears = keptChoice("headphones");
  if (hears === null) return undefined;
  const offered = trial || delaySet() !== null;
  const simulated = offered && keptChoice("microphone") !== "device" ? delaySeconds() : undefined;
  return { headphones: hears === "yes", onlyCountIn: keptChoice("count-in") === "yes", simulated };
}

function TakeForm({ trial, onClose, onRecord }: Omit<TakeSheetProps, "open">) {
  const offered = trial || delaySet() !== null;
  const [headphones, setHeadphones] = useState(() => keptChoice("headphones") === "yes");
  const [onlyCountIn, setOnlyCountIn] = useState(() => keptChoice("count-in") === "yes");
  const [simulated, setSimulated] = useState(offered && keptChoice("microphone") !== "device");
  const record = () => {
    localStorage.setItem(`${KEY}-headphones`, headphones ? "yes" : "no");
    localStorage.setItem(`${KEY}-count-in`, onlyCountIn ? "yes" : "no");
    localStorage.setItem(`${KEY}-microphone`, simulated ? "simulated" : "device");
    const delay = simulated ? delaySeconds() : undefined;
    onRecord({ headphones, onlyCountIn, simulated: delay });
  };
  const by = (label: string, its: boolean, first: boolean) => (
    <label>
      <input
        type="radio"
        name="hear"
        checked={headphones === its}
        onChange={() => setHeadphones(its)}
        data-first={first || undefined}
      />
      {label}
    </label>
  );
  return (
    <Sheet
      open
      title={said.title}
      onClose={onClose}
      actions={
        <>
          <Button onClick={onClose} color="inherit">
            {words.cancel}
          </Button>
          <Button type="submit" form="take" variant="contained">
            {said.begin}
          </Button>
        </>
      }
    >
      <form
        id="take"
        className={styles.between}
        onSubmit={(event) => {
          event.preventDefault();
          record();
        }}
      >
        <p>{said.why}</p>
        <fieldset className={styles.choices}>
          <legend>{said.hear}</legend>
          {by(said.loudspeaker, false, !headphones)}
          {by(said.headphones, true, headphones)}
        </fieldset>
        <p>{headphones ? said.headphonesTold : said.loudspeakerTold}</p>
        <label className={styles.choice}>
          <input
            type="checkbox"
            checked={onlyCountIn}
            onChange={(event) => setOnlyCountIn(event.target.checked)}
          />
          {said.onlyCountIn}
        </label>
        {offered && (
          <label className={styles.line}>
            {said.microphone}
            <select
              value={simulated ? "simulated" : "device"}
              onChange={({ target }) => setSimulated(target.value === "simulated")}
            >
              <option value="device">{said.device}</option>
              <option value="simulated">{said.simulated}</option>
            </select>
          </label>
        )}
      </form>
    </Sheet>
  );
}
