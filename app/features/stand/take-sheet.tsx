import { useState } from "react";
import { Press } from "~/components/press";
import type { PlannedTake } from "~/core/session";
import { words } from "~/words/stand-words";
import { Sheet } from "./sheet";
import type { TakeChoice } from "./take-choice";
import { chosenBefore, delaySeconds, keepTakeChoice, standInOffered } from "./take-choice-kept";
import styles from "./sheets.module.css";

const { sheet: said } = words.take;
interface TakeSheetProps {
  readonly open: boolean;
  /** A stand-in for the microphone is offered. */
  readonly trial: boolean;
  /** The run that the plan records, where that is why it is asked, and how many come before it. */
  readonly planned: PlannedTake | undefined;
  readonly onClose: () => void;
  readonly onRecord: (choice: TakeChoice) => void;
  /** Has the player clap along; whether it was heard. */
  readonly onClap: (choice: TakeChoice) => Promise<boolean>;
}

/** Says why the microphone is asked for, and how the click is heard meanwhile. */
export function TakeSheet({ open, ...props }: TakeSheetProps) {
  return open ? <TakeForm {...props} /> : null;
}

function TakeForm({ trial, planned, onClose, onRecord, onClap }: Omit<TakeSheetProps, "open">) {
  const isLater = planned !== undefined && planned.before > 0;
  const offered = standInOffered(trial);
  const before = useState(chosenBefore)[0];
  const [headphones, setHeadphones] = useState(before.headphones);
  const [onlyCountIn, setOnlyCountIn] = useState(before.onlyCountIn);
  const [simulated, setSimulated] = useState(offered && !before.device);
  const chosen = (): TakeChoice => {
    const delay = simulated ? delaySeconds() : undefined;
    return { headphones, onlyCountIn, simulated: delay };
  };
  const record = () => {
    const choice = chosen();
    keepTakeChoice(choice);
    onRecord(choice);
  };
  const by = (label: string, its: boolean) => (
    <label>
      <input
        type="radio"
        name="hear"
        checked={headphones === its}
        onChange={() => setHeadphones(its)}
      />
      {label}
    </label>
  );
  return (
    <Sheet
      open
      title={planned ? said.planned(planned.run) : said.title}
      onClose={onClose}
      actions={
        <>
          <Press onClick={onClose}>{words.cancel}</Press>
          <Press type="submit" form="take" kind="filled" data-first data-onward>
            {isLater ? said.beginLater : said.begin}
          </Press>
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
          {by(said.loudspeaker, false)}
          {by(said.headphones, true)}
        </fieldset>
        <p>{headphones ? said.headphonesTold : said.loudspeakerTold}</p>
        {headphones && <ClapAlong onClap={() => onClap(chosen())} />}
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

/** With headphones nothing comes back to the microphone: hands tell how much later they are heard. */
function ClapAlong({ onClap }: { readonly onClap: () => Promise<boolean> }) {
  const [state, setState] = useState<"rests" | "claps" | "placed" | "lost">("rests");
  const clap = async () => {
    setState("claps");
    setState((await onClap()) ? "placed" : "lost");
  };
  return (
    <div>
      <Press kind="outlined" disabled={state === "claps"} onClick={() => void clap()}>
        {state === "claps" ? said.clapping : said.clap}
      </Press>
      <p role="status">{(state === "placed" || state === "lost") && said.clapStates[state]}</p>
    </div>
  );
}
