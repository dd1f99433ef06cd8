import Button from "@mui/material/Button";
import FormControlLabel from "@mui/material/FormControlLabel";
import Switch from "@mui/material/Switch";
import { TempoText } from "~/components/beat-unit";
import { ladderAtFull, ladderInPercent } from "~/core/ladder";
import type { PassageTempo } from "~/core/score";
import { words } from "~/words";
import type { LadderDraft } from "./draft";
import styles from "./workshop.module.css";

interface TempoNoteProps {
  readonly tempo: PassageTempo;
  readonly draft: LadderDraft;
  /** The tempo of the rung that is looked at. */
  readonly at: number | undefined;
  readonly onChange: (change: Partial<LadderDraft>) => void;
}

const { workshop } = words;

/** How a passage over several tempi goes at a rung, region by region; and what can be left out. */
export function TempoNote({ tempo, draft, at, onChange }: TempoNoteProps) {
  const { across, full, bends } = tempo;
  const { of } = draft;
  if (across.length === 0 && !bends) return null;
  const moved = of !== null && Math.abs(of - full) > 0.05;
  const toNewFull = () => onChange(ladderAtFull(ladderInPercent(draft, of!), full));
  return (
    <div className={styles.tempi}>
      {across.length > 0 && of !== null && (
        <p>
          {workshop.across}{" "}
          {at !== undefined && (
            <>
              <strong>{workshop.at(words.staircase.tempo(at, of))}</strong>{" "}
              {across.map(({ fromBar, unit, bpm }, index) => (
                <span key={fromBar}>
                  {index > 0 && `, ${workshop.fromBar(fromBar)} `}
                  <TempoText unit={unit} bpm={(bpm * at) / full} />
                </span>
              ))}
            </>
          )}
        </p>
      )}
      {moved && (
        <p>
          {workshop.fullMoved}{" "}
          <Button size="small" variant="outlined" onClick={toNewFull}>
            {workshop.takeFull}
          </Button>
        </p>
      )}
      {bends && (
        <FormControlLabel
          control={<Switch checked={draft.steady} onChange={(_, steady) => onChange({ steady })} />}
          label={workshop.unbent}
        />
      )}
    </div>
  );
}
