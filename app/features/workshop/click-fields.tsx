import { NumberField } from "~/components/number-field";
import {
  CLICK_PATTERN_KINDS,
  SILENCE_KINDS,
  type ClickPattern,
  type ClickProgramme,
  type Silence,
} from "~/core/click";
import { words } from "~/words";
import { Choice } from "~/components/choice";
import { DroneFields } from "./drone-fields";
import type { PartProps } from "./part-props";
import styles from "./workshop.module.css";

const { click: said } = words;

const PATTERNS: Record<ClickPattern["kind"], ClickPattern> = {
  beats: { kind: "beats", subdivision: 1 },
  "off-beats": { kind: "off-beats" },
  "every-beats": { kind: "every-beats", beats: 2 },
  "every-bars": { kind: "every-bars", bars: 1 },
  none: { kind: "none" },
};
const SILENCES: Record<Silence["kind"], Silence> = {
  never: { kind: "never" },
  fixed: { kind: "fixed", sounding: 3, silent: 1 },
  random: { kind: "random", percent: 25, seed: 1 },
};

/** What is heard while playing: pattern, silent bars, voices, drone. */
export function ClickFields({ draft, errors, onChange }: PartProps) {
  const { click } = draft;
  const set = (change: Partial<ClickProgramme>) => onChange({ click: { ...click, ...change } });
  const { levels } = click;
  return (
    <>
      <PatternFields
        pattern={click.pattern}
        error={errors["click.pattern"]}
        errors={errors}
        onChange={(pattern) => set({ pattern })}
      />
      <SilenceFields
        silence={click.silence}
        errors={errors}
        onChange={(silence) => set({ silence })}
      />
      <div className={styles.pair}>
        {(["accent", "beat", "subdivision"] as const).map((voice) => (
          <NumberField
            key={voice}
            label={voice === "subdivision" ? said.division : said[voice]}
            unit="%"
            value={levels[voice]}
            min={0}
            max={100}
            by={5}
            error={errors[`click.levels.${voice}`]}
            onChange={(level) => set({ levels: { ...levels, [voice]: level } })}
          />
        ))}
      </div>
      <DroneFields drone={click.drone} errors={errors} onChange={(drone) => set({ drone })} />
    </>
  );
}

function PatternFields(props: {
  pattern: ClickPattern;
  error: string | undefined;
  errors: Readonly<Record<string, string>>;
  onChange: (pattern: ClickPattern) => void;
}) {
  const { pattern, error, errors, onChange } = props;
  return (
    <>
      <Choice
        label={said.pattern}
        value={pattern.kind}
        options={CLICK_PATTERN_KINDS}
        told={(kind) => said.patterns[kind]}
        onChange={(kind) => onChange(PATTERNS[kind])}
        error={pattern.kind === "beats" ? undefined : error}
      />
      {pattern.kind === "beats" && (
        <NumberField
          label={said.subdivision}
          unit={said.perBeat}
          value={pattern.subdivision}
          min={1}
          max={8}
          error={errors["click.pattern.subdivision"] ?? error}
          onChange={(subdivision) => onChange({ ...pattern, subdivision })}
        />
      )}
      {pattern.kind === "every-beats" && (
        <NumberField
          label={said.every}
          unit={said.beats}
          value={pattern.beats}
          min={2}
          max={8}
          error={errors["click.pattern.beats"]}
          onChange={(beats) => onChange({ ...pattern, beats })}
        />
      )}
      {pattern.kind === "every-bars" && (
        <NumberField
          label={said.every}
          unit={said.bars(pattern.bars)}
          value={pattern.bars}
          min={1}
          max={8}
          error={errors["click.pattern.bars"]}
          onChange={(bars) => onChange({ ...pattern, bars })}
        />
      )}
    </>
  );
}

function SilenceFields(props: {
  silence: Silence;
  errors: Readonly<Record<string, string>>;
  onChange: (silence: Silence) => void;
}) {
  const { silence, errors, onChange } = props;
  return (
    <>
      <Choice
        label={said.silence}
        value={silence.kind}
        options={SILENCE_KINDS}
        told={(kind) => said.silences[kind]}
        onChange={(kind) => onChange(SILENCES[kind])}
      />
      {silence.kind === "fixed" && (
        <div className={styles.pair}>
          {(["sounding", "silent"] as const).map((key) => (
            <NumberField
              key={key}
              label={said[key]}
              unit={said.bars(silence[key])}
              value={silence[key]}
              min={1}
              max={16}
              error={errors[`click.silence.${key}`]}
              onChange={(bars) => onChange({ ...silence, [key]: bars })}
            />
          ))}
        </div>
      )}
      {silence.kind === "random" && (
        <div className={styles.pair}>
          <NumberField
            label={said.share}
            unit="%"
            value={silence.percent}
            min={5}
            max={95}
            by={5}
            error={errors["click.silence.percent"]}
            onChange={(percent) => onChange({ ...silence, percent })}
          />
          <NumberField
            label={said.seed}
            unit=""
            value={silence.seed}
            min={0}
            max={9999}
            slider={false}
            error={errors["click.silence.seed"]}
            onChange={(seed) => onChange({ ...silence, seed })}
          />
        </div>
      )}
    </>
  );
}
