import Button from "@mui/material/Button";
import FormControlLabel from "@mui/material/FormControlLabel";
import Switch from "@mui/material/Switch";
import TextField from "@mui/material/TextField";
import { Choice } from "~/components/choice";
import { NumberField } from "~/components/number-field";
import { LINK_KINDS, type RegionLink, type ResolvedRegion, type TempoRegion } from "~/core/score";
import { BEAT_UNIT_NAMES, TEMPO_LIMITS } from "~/core/units";
import { words } from "~/words/stand-words";
import { tempiWords as said } from "~/words/tempi";
import { nameOf } from "./names";
import styles from "./tempo.module.css";

interface RegionFieldsProps {
  readonly region: ResolvedRegion;
  /** The others, with which it can have to do. */
  readonly others: readonly ResolvedRegion[];
  readonly bars: number;
  readonly onChange: (change: Partial<TempoRegion>) => void;
  /** Undefined for the first: a piece has a tempo from bar 1. */
  readonly onRemove: (() => void) | undefined;
}

const BPM = { unit: "bpm", min: TEMPO_LIMITS.lowest, max: TEMPO_LIMITS.highest, slider: false };
const RATIO = { unit: "×", min: 0.05, max: 10, by: 0.01, slider: false };

/** A link of a kind, with what is usual for it. */
function linkOf(kind: RegionLink["kind"], of: string, region: TempoRegion): RegionLink {
  if (kind === "ratio") return { kind, of, low: 1, high: 1 };
  if (kind === "note") return { kind, of, unit: region.unit, was: region.unit };
  return { kind, of };
}

const needsNumber = (link: RegionLink | null): boolean =>
  link === null || link.kind === "at-most" || link.kind === "at-least";

/** Everything that can be said of one region of tempo. */
export function RegionFields({ region, others, bars, onChange, onRemove }: RegionFieldsProps) {
  const { target, link, bpm } = region;
  const own = { low: Math.round(bpm), high: Math.round(bpm) };
  const setLink = (next: RegionLink | null) =>
    onChange({ link: next, ...(needsNumber(next) && !target ? { target: own } : {}) });
  const [first] = others;
  return (
    <div className={styles.editor}>
      <h3>{words.capital(nameOf(region, bars))}</h3>
      <div className={styles.fields}>
        {onRemove && (
          <NumberField
            label={said.fromBar}
            unit=""
            min={2}
            max={bars}
            slider={false}
            value={region.fromBar}
            onChange={(fromBar) => onChange({ fromBar })}
          />
        )}
        <Choice
          label={said.unit}
          value={region.unit}
          options={BEAT_UNIT_NAMES}
          told={(unit) => words.beatUnit[unit]}
          onChange={(unit) => onChange({ unit })}
        />
        {target && (
          <>
            <NumberField
              label={said.low}
              value={target.low}
              onChange={(low) =>
                onChange({
                  target: { low, high: target.high === target.low ? low : target.high },
                })
              }
              {...BPM}
            />
            <NumberField
              label={said.high}
              value={target.high}
              onChange={(high) => onChange({ target: { ...target, high } })}
              {...BPM}
            />
          </>
        )}
        <TextField
          size="small"
          label={said.words}
          value={region.words}
          onChange={(event) => onChange({ words: event.target.value })}
        />
        <NumberField
          label={said.clicks}
          unit=""
          min={1}
          max={8}
          slider={false}
          value={region.subdivision}
          onChange={(subdivision) => onChange({ subdivision })}
        />
      </div>
      {first && (
        <div className={styles.fields}>
          <span className={styles.wide}>
            <Choice
              label={said.link}
              value={link?.kind ?? "none"}
              options={["none", ...LINK_KINDS]}
              told={(kind) => said.links[kind]}
              onChange={(kind) =>
                setLink(kind === "none" ? null : linkOf(kind, link?.of ?? first.id, region))
              }
            />
          </span>
          {link && (
            <Choice
              label={said.of}
              value={link.of}
              options={others.map(({ id }) => id)}
              told={(id) => nameOf(others.find((other) => other.id === id) ?? first, bars)}
              onChange={(of) => setLink({ ...link, of })}
            />
          )}
          {link?.kind === "note" && (
            <>
              <Choice
                label={said.here}
                value={link.unit}
                options={BEAT_UNIT_NAMES}
                told={(unit) => words.beatUnit[unit]}
                onChange={(unit) => setLink({ ...link, unit })}
              />
              <Choice
                label={said.there}
                value={link.was}
                options={BEAT_UNIT_NAMES}
                told={(was) => words.beatUnit[was]}
                onChange={(was) => setLink({ ...link, was })}
              />
            </>
          )}
          {link?.kind === "ratio" && (
            <>
              <NumberField
                label={said.ratioLow}
                value={link.low}
                onChange={(low) => setLink({ ...link, low })}
                {...RATIO}
              />
              <NumberField
                label={said.ratioHigh}
                value={link.high}
                onChange={(high) => setLink({ ...link, high })}
                {...RATIO}
              />
            </>
          )}
          {!needsNumber(link) && (
            <FormControlLabel
              control={
                <Switch
                  checked={target !== null}
                  onChange={(_, on) => onChange({ target: on ? own : null })}
                />
              }
              label={said.own}
            />
          )}
        </div>
      )}
      {link?.kind === "ratio" && <p className={styles.soft}>{said.ratioHow}</p>}
      {onRemove && (
        <div>
          <Button color="inherit" size="small" onClick={onRemove}>
            {said.remove}
          </Button>
        </div>
      )}
    </div>
  );
}
