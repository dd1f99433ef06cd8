import { useState } from "react";
import { Press } from "~/components/press";
import { COUNT_IN_BARS, LONGEST_BREATHER_SECONDS, type Breather } from "~/core/click";
import type { PlayersPace } from "~/core/session";
import { words } from "~/words/stand-words";
import { Sheet } from "./sheet";
import styles from "./sheets.module.css";

const { between } = words;

interface BetweenSheetProps {
  readonly open: boolean;
  readonly pace: PlayersPace;
  readonly onClose: () => void;
  readonly onSet: (pace: PlayersPace) => void;
}

/** Count-in and breather, in the player's hands; nothing is heard while it is open. */
export function BetweenSheet({ open, pace, onClose, onSet }: BetweenSheetProps) {
  return open ? (
    <BetweenForm
      pace={pace}
      onClose={onClose}
      onSet={(set) => {
        onSet(set);
        onClose();
      }}
    />
  ) : null;
}

/** The choices of the breather: in time, or so many seconds. */
const BREATHERS: readonly Breather[] = [
  { kind: "in-time" },
  ...Array.from({ length: LONGEST_BREATHER_SECONDS + 1 }, (_, seconds) => ({
    kind: "seconds" as const,
    seconds,
  })),
];
const keyOf = (breather: Breather) =>
  breather.kind === "in-time" ? "in-time" : `${breather.seconds}`;

function BetweenForm({ pace, onClose, onSet }: Omit<BetweenSheetProps, "open">) {
  const [{ countIn, breather }, set] = useState(pace);
  const counted = (change: Partial<PlayersPace["countIn"]>) =>
    set({ breather, countIn: { ...countIn, ...change } });
  const inTime = breather.kind === "in-time";
  return (
    <Sheet
      open
      title={between.title}
      onClose={onClose}
      actions={
        <>
          <Press onClick={onClose}>{words.cancel}</Press>
          <Press type="submit" form="between" kind="filled" data-onward>
            {between.set}
          </Press>
        </>
      }
    >
      <form
        id="between"
        className={styles.between}
        onSubmit={(event) => {
          event.preventDefault();
          onSet({ countIn, breather });
        }}
      >
        <fieldset className={styles.choices}>
          <legend>{between.countIn}</legend>
          {COUNT_IN_BARS.map((bars) => (
            <label key={bars}>
              <input
                type="radio"
                name="count-in"
                checked={countIn.bars === bars}
                onChange={() => counted({ bars })}
              />
              {between.bars(bars)}
            </label>
          ))}
        </fieldset>
        <Check
          label={between.firstOnly}
          checked={inTime || countIn.firstOnly}
          disabled={inTime}
          onChange={(firstOnly) => counted({ firstOnly })}
        />
        <Check
          label={between.inner}
          checked={countIn.inner}
          onChange={(inner) => counted({ inner })}
        />
        <label className={styles.line}>
          {between.breather}
          <select
            value={keyOf(breather)}
            onChange={({ target }) =>
              set({ countIn, breather: BREATHERS.find((each) => keyOf(each) === target.value)! })
            }
          >
            {BREATHERS.map((each) => (
              <option key={keyOf(each)} value={keyOf(each)}>
                {between.breatherNamed(each)}
              </option>
            ))}
          </select>
        </label>
        <p>{inTime ? between.inTime : between.kept}</p>
      </form>
    </Sheet>
  );
}

function Check(props: {
  label: string;
  checked: boolean;
  disabled?: boolean;
  onChange: (checked: boolean) => void;
}) {
  const { label, checked, disabled = false, onChange } = props;
  return (
    <label className={styles.choice}>
      <input
        type="checkbox"
        checked={checked}
        disabled={disabled}
        onChange={(event) => onChange(event.target.checked)}
      />
      {label}
    </label>
  );
}
