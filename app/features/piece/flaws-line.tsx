import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useSearchParams } from "react-router";
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
        <Button size="small" variant="outlined" onClick={() => onChoose(found)}>
          {notationWords.cutThere}
        </Button>
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
