import FormControlLabel from "@mui/material/FormControlLabel";
import MenuItem from "@mui/material/MenuItem";
import Switch from "@mui/material/Switch";
import TextField from "@mui/material/TextField";
import { NumberField } from "~/components/number-field";
import {
  fieldsOf,
  SCHOOL_NAMES,
  START_RULE_KINDS,
  type SchoolName,
  type StartRule,
} from "~/core/ladder";
import { TEMPO_LIMITS, type BeatUnit } from "~/core/units";
import { words } from "~/words";
import { initialNumbers, type LadderDraft } from "./draft";
import { GateFields } from "./gate-fields";
import styles from "./ladder.module.css";

export interface LadderFieldsProps {
  readonly draft: LadderDraft;
  readonly errors: Readonly<Record<string, string>>;
  readonly onChange: (draft: LadderDraft) => void;
  readonly unit: BeatUnit;
}

const { ladder } = words;

const startRules: Record<StartRule["kind"], StartRule> = {
  "where-ended": { kind: "where-ended" },
  "where-ended-less": { kind: "where-ended-less", steps: 1 },
  comfortable: { kind: "comfortable" },
  "half-of-target": { kind: "half-of-target" },
  "percent-of-target": { kind: "percent-of-target", percent: 60 },
};

/** The numbers of a ladder, in the order in which a teacher thinks of them. */
export function LadderFields({ draft, errors, onChange }: LadderFieldsProps) {
  const set = (change: Partial<LadderDraft>) => onChange({ ...draft, ...change });
  const bpmField = { unit: "bpm", min: TEMPO_LIMITS.lowest, max: TEMPO_LIMITS.highest } as const;
  return (
    <>
      <fieldset className={styles.group}>
        <legend>{ladder.path}</legend>
        <div className={styles.pair}>
          <NumberField
            label={ladder.start}
            value={draft.start}
            error={errors.start}
            onChange={(start) => set({ start })}
            slider={false}
            {...bpmField}
          />
          <NumberField
            label={ladder.target}
            value={draft.target}
            error={errors.target}
            onChange={(target) => set({ target })}
            slider={false}
            {...bpmField}
          />
        </div>
        <SchoolFields draft={draft} errors={errors} onChange={set} />
      </fieldset>
      <GateFields gate={draft.gate} errors={errors} onChange={(gate) => set({ gate })} />
      <fieldset className={styles.group}>
        <legend>{ladder.daily}</legend>
        <StartRuleFields
          rule={draft.startRule}
          errors={errors}
          onChange={(startRule) => set({ startRule })}
        />
        <div className={styles.pair}>
          <NumberField
            label={ladder.minutes}
            unit="min"
            value={draft.minutes}
            min={1}
            max={240}
            error={errors.minutes}
            onChange={(minutes) => set({ minutes })}
            slider={false}
          />
          <NumberField
            label={ladder.rest}
            unit="s"
            value={draft.rest}
            min={0}
            max={600}
            error={errors.rest}
            onChange={(rest) => set({ rest })}
            slider={false}
          />
          <NumberField
            label={ladder.subdivision}
            unit={ladder.perBeat}
            value={draft.subdivision}
            min={1}
            max={8}
            error={errors.subdivision}
            onChange={(subdivision) => set({ subdivision })}
            slider={false}
          />
          <NumberField
            label={ladder.countIn}
            unit={draft.countInBars === 1 ? "bar" : "bars"}
            value={draft.countInBars}
            min={1}
            max={2}
            error={errors.countInBars}
            onChange={(countInBars) => set({ countInBars })}
            slider={false}
          />
        </div>
        <NumberField
          label={ladder.offerAfter}
          unit={ladder.flawedPlays}
          value={draft.offerAfter}
          min={1}
          max={20}
          error={errors.offerAfter}
          helper={ladder.offerHelp}
          onChange={(offerAfter) => set({ offerAfter })}
          slider={false}
        />
        <FormControlLabel
          control={<Switch checked={draft.hidden} onChange={(_, hidden) => set({ hidden })} />}
          label={ladder.hidden}
        />
      </fieldset>
    </>
  );
}

type PartProps = {
  readonly draft: LadderDraft;
  readonly errors: Readonly<Record<string, string>>;
  readonly onChange: (change: Partial<LadderDraft>) => void;
};

function SchoolFields({ draft, errors, onChange }: PartProps) {
  const { name, numbers } = draft.school;
  return (
    <>
      <TextField
        select
        size="small"
        label={ladder.school}
        value={name}
        helperText={ladder.schools[name].goodFor}
        onChange={({ target }) => {
          const chosen = target.value as SchoolName;
          onChange({ school: { name: chosen, numbers: initialNumbers(chosen) } });
        }}
      >
        {SCHOOL_NAMES.map((each) => (
          <MenuItem key={each} value={each}>
            {ladder.schools[each].label}
          </MenuItem>
        ))}
      </TextField>
      {fieldsOf(name).map(({ key, unit, min, max }) => (
        <NumberField
          key={`${name}-${key}`}
          label={ladder.numbers[key] ?? key}
          unit={ladder.units[unit]}
          value={numbers[key] ?? NaN}
          min={min}
          max={max}
          error={errors[`school.numbers.${key}`]}
          onChange={(value) =>
            onChange({ school: { name, numbers: { ...numbers, [key]: value } } })
          }
        />
      ))}
    </>
  );
}

function StartRuleFields(props: {
  rule: StartRule;
  errors: Readonly<Record<string, string>>;
  onChange: (rule: StartRule) => void;
}) {
  const { rule, errors, onChange } = props;
  return (
    <>
      <TextField
        select
        size="small"
        label={ladder.startRule}
        value={rule.kind}
        onChange={({ target }) => onChange(startRules[target.value as StartRule["kind"]])}
      >
        {START_RULE_KINDS.map((kind) => (
          <MenuItem key={kind} value={kind}>
            {ladder.startRules[kind]}
          </MenuItem>
        ))}
      </TextField>
      {rule.kind === "percent-of-target" && (
        <NumberField
          label={ladder.percentOfTarget}
          unit="%"
          value={rule.percent}
          min={10}
          max={100}
          error={errors["startRule.percent"]}
          onChange={(percent) => onChange({ ...rule, percent })}
        />
      )}
      {rule.kind === "where-ended-less" && (
        <NumberField
          label={ladder.stepsBack}
          unit={ladder.rungs}
          value={rule.steps}
          min={1}
          max={20}
          error={errors["startRule.steps"]}
          onChange={(steps) => onChange({ ...rule, steps })}
          slider={false}
        />
      )}
    </>
  );
}
