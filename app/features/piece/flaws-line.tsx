import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { Form, useSearchParams } from "react-router";
import { SubmitButton } from "~/components/submit-button";
import type { BarRange } from "~/components/use-bar-selection";
import { whereItFailed } from "~/core/ladder";
import { FLAW_DAYS, type FlawDays } from "~/forms/flaw-days";
import { words } from "~/words";
import { notationWords } from "~/words/notation";
import type { PiecePageProps } from "./piece-page-props";
import styles from "./trouble.module.css";

interface FlawsLineProps {
  readonly flaws: PiecePageProps["flaws"];
  readonly beats: PiecePageProps["flawBeats"];
  readonly days: FlawDays;
  readonly bars: number;
  /** Chooses bars to be cut; without it they are only told. */
  readonly onChoose: ((range: BarRange) => void) | undefined;
}

/** Whole bars, to be played between their neighbours once they go. */
const WHOLE = { pickupBeats: 0, startBeats: 0, endBeats: 0, name: "", focus: "", join: 1 };

/** Where flawed plays fell in the days that are looked at, in numbers, and the bars that hold most. */
export function FlawsLine({ flaws, beats, days, bars, onChoose }: FlawsLineProps) {
  const [, setSearch] = useSearchParams();
  const told = Object.entries(flaws).map(([bar, flawed]) => ({ bar: Number(bar), flawed }));
  const sum = (inside: readonly { flawed: number }[]) =>
    inside.reduce((total, { flawed }) => total + flawed, 0);
  const found = whereItFailed(told, { fromBar: 1, toBar: bars });
  const there = found ? told.filter(({ bar }) => bar >= found.fromBar && bar <= found.toBar) : [];
  return (
    <div className={styles.flawsLine}>
      <span>
        {found
          ? notationWords.failed(sum(there), sum(told), words.bars(found.fromBar, found.toBar))
          : notationWords.noneFailed}
        {beats.length > 0 && ` ${notationWords.failedOn(beats)}`}
      </span>
      {found && onChoose && (
        <Form method="post" className={styles.cutThere}>
          {Object.entries({ ...WHOLE, fromBar: found.fromBar, toBar: found.toBar }).map(
            ([name, value]) => (
              <input key={name} type="hidden" name={name} value={value} />
            ),
          )}
          <SubmitButton name="act" value="cut" size="small" variant="outlined">
            {notationWords.cutHere}
          </SubmitButton>
          <Button size="small" onClick={() => onChoose(found)}>
            {notationWords.cutThere}
          </Button>
        </Form>
      )}
      <div className={styles.days}>
        <TextField
          select
          fullWidth
          size="small"
          label={notationWords.flawsOf}
          value={days}
          onChange={({ target }) =>
            setSearch({ days: String(target.value) }, { preventScrollReset: true, replace: true })
          }
        >
          {FLAW_DAYS.map((each) => (
            <MenuItem key={each} value={each}>
              {notationWords.flawDays[each]}
            </MenuItem>
          ))}
        </TextField>
      </div>
    </div>
  );
}
