import FormControlLabel from "@mui/material/FormControlLabel";
import FormHelperText from "@mui/material/FormHelperText";
import Switch from "@mui/material/Switch";
import { NumberField } from "~/components/number-field";
import { START_RULE_KINDS, type StartRule } from "~/core/ladder";
import { words } from "~/words";
import { Choice } from "~/components/choice";
import type { PartProps } from "./part-props";
import { START_RULES, type Starts } from "./starts";
import styles from "./workshop.module.css";

const { ladder } = words;

interface DayFieldsProps extends PartProps {
  /** Where each rule would start today. */
  readonly starts: Starts | undefined;
}

/** Where each day starts and how long it lasts, and the options over any ladder. */
export function DayFields({ draft, errors, onChange, starts }: DayFieldsProps) {
  const { overspeed } = draft;
  return (
    <>
      <StartRuleFields
        rule={draft.startRule}
        errors={errors}
        starts={starts}
        of={draft.of}
        onChange={(startRule) => onChange({ startRule })}
      />
      <div className={styles.pair}>
        <NumberField
          label={ladder.minutes}
          unit="min"
          value={draft.minutes}
          min={1}
          max={60}
          error={errors.minutes}
          onChange={(minutes) => onChange({ minutes })}
        />
        <NumberField
          label={ladder.overDays}
          unit={ladder.days(draft.days)}
          value={draft.days}
          min={1}
          max={30}
          error={errors.days}
          onChange={(days) => onChange({ days })}
        />
        <NumberField
          label={ladder.rest}
          unit="s"
          value={draft.rest}
          min={0}
          max={180}
          by={5}
          error={errors.rest}
          onChange={(rest) => onChange({ rest })}
        />
        <NumberField
          label={ladder.warmUp}
          unit={ladder.rungs}
          value={draft.warmUp}
          min={0}
          max={3}
          error={errors.warmUp}
          onChange={(warmUp) => onChange({ warmUp })}
        />
        <NumberField
          label={ladder.mostAbove}
          unit={ladder.rungs}
          value={draft.mostAbove}
          min={0}
          max={20}
          error={errors.mostAbove}
          helper={ladder.noCap}
          onChange={(mostAbove) => onChange({ mostAbove })}
        />
      </div>
      <FormControlLabel
        control={<Switch checked={draft.hidden} onChange={(_, hidden) => onChange({ hidden })} />}
        label={ladder.hidden}
      />
      <FormControlLabel
        control={
          <Switch
            checked={overspeed !== null}
            onChange={(_, on) => onChange({ overspeed: on ? { in: "percent", beyond: 5 } : null })}
          />
        }
        label={ladder.overspeed}
      />
      {overspeed && (
        <div className={styles.pair}>
          <NumberField
            label={ladder.numbers.beyond!}
            unit={ladder.units[overspeed.in]}
            value={overspeed.beyond}
            min={1}
            max={50}
            error={errors["overspeed.beyond"]}
            onChange={(beyond) => onChange({ overspeed: { ...overspeed, beyond } })}
          />
          <Choice
            label={ladder.numbers.in!}
            value={overspeed.in}
            options={["percent", "bpm"]}
            told={(option) => ladder.choices[option] ?? option}
            onChange={(unit) => onChange({ overspeed: { ...overspeed, in: unit } })}
          />
        </div>
      )}
    </>
  );
}

function StartRuleFields(props: {
  rule: StartRule;
  errors: Readonly<Record<string, string>>;
  starts: Starts | undefined;
  of: number | null;
  onChange: (rule: StartRule) => void;
}) {
  const { rule, errors, starts, of, onChange } = props;
  const told = (kind: StartRule["kind"]) =>
    starts
      ? ladder.startingAt(ladder.startRules[kind], words.staircase.tempo(starts[kind], of))
      : ladder.startRules[kind];
  return (
    <>
      <Choice
        label={ladder.startRule}
        value={rule.kind}
        options={START_RULE_KINDS}
        told={told}
        onChange={(kind) => onChange(START_RULES[kind])}
      />
      {rule.kind === "advised" && <FormHelperText>{ladder.advisedWhy}</FormHelperText>}
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
