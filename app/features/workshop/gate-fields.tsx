import Button from "@mui/material/Button";
import FormControlLabel from "@mui/material/FormControlLabel";
import Switch from "@mui/material/Switch";
import { NumberField } from "~/components/number-field";
import { firstRule, isByClock, RULE_KINDS, type Gate, type Rule, type RuleKind } from "~/core/gate";
import { words } from "~/words";
import { Choice } from "~/components/choice";
import styles from "./workshop.module.css";

interface GateFieldsProps {
  readonly gate: Gate;
  readonly errors: Readonly<Record<string, string>>;
  readonly onChange: (gate: Gate) => void;
}

const { gate: said } = words;
const MOST_RULES = 4;

/** When may I go up? One rule, or several that must all hold. */
export function GateFields({ gate, errors, onChange }: GateFieldsProps) {
  const clock = isByClock(gate);
  const free = RULE_KINDS.filter((kind) => !gate.some((rule) => rule.kind === kind));
  // By the clock, nothing else opens a gate.
  const more = clock ? [] : free.filter((kind) => !isByClock([firstRule(kind, 1)]));
  const change = (i: number, next: Rule) =>
    onChange(isByClock([next]) ? [next] : gate.with(i, next));
  return (
    <>
      {gate.map((rule, i) => (
        <div key={i} className={styles.rule}>
          {i > 0 && <span className={styles.and}>{words.and}</span>}
          <RuleFields
            rule={rule}
            kinds={[rule.kind, ...free]}
            errorAt={(key) => errors[`gate.${i}.${key}`]}
            onChange={(next) => change(i, next)}
          />
          {gate.length > 1 && (
            <Button size="small" onClick={() => onChange(gate.filter((_, at) => at !== i))}>
              {said.remove}
            </Button>
          )}
        </div>
      ))}
      {gate.length < MOST_RULES && more.length > 0 && (
        <Button size="small" onClick={() => onChange([...gate, firstRule(more[0]!, 3)])}>
          {said.add}
        </Button>
      )}
    </>
  );
}

/** What is counted, where it is not clean plays. */
const PLAYS: Readonly<
  Partial<Record<RuleKind, { readonly label: string; readonly unit: string }>>
> = {
  played: { label: said.played, unit: said.playsUnit },
  "clock-plays": { label: said.runs, unit: said.runsUnit },
};

function RuleFields(props: {
  rule: Rule;
  kinds: readonly RuleKind[];
  errorAt: (key: string) => string | undefined;
  onChange: (rule: Rule) => void;
}) {
  const { rule, kinds, errorAt, onChange } = props;
  const plays = "plays" in rule ? rule.plays : 3;
  const inOrder = RULE_KINDS.filter((kind) => kinds.includes(kind));
  return (
    <>
      <Choice
        label={said.rule}
        value={rule.kind}
        options={inOrder}
        told={(kind) => said.kinds[kind]}
        onChange={(kind) => onChange(firstRule(kind, plays))}
      />
      {"plays" in rule && (
        <NumberField
          label={PLAYS[rule.kind]?.label ?? said.plays}
          unit={PLAYS[rule.kind]?.unit ?? said.clean}
          value={rule.plays}
          min={1}
          max={rule.kind === "of-last" ? 10 : 20}
          error={errorAt("plays")}
          onChange={(next) => onChange({ ...rule, plays: next })}
        />
      )}
      {rule.kind === "of-last" && (
        <NumberField
          label={said.window}
          unit={said.playsUnit}
          value={rule.window}
          min={1}
          max={10}
          error={errorAt("window")}
          onChange={(window) => onChange({ ...rule, window })}
        />
      )}
      {rule.kind === "in-a-row" && (
        <Choice
          label={said.afterFlawed}
          value={rule.afterFlawed}
          options={["reset", "minus-one"]}
          told={(option) => (option === "reset" ? said.reset : said.minusOne)}
          onChange={(afterFlawed) => onChange({ ...rule, afterFlawed })}
        />
      )}
      {rule.kind === "minutes" && (
        <>
          <NumberField
            label={said.minutes}
            unit="min"
            value={rule.minutes}
            min={0.5}
            max={20}
            by={0.5}
            error={errorAt("minutes")}
            onChange={(minutes) => onChange({ ...rule, minutes })}
          />
          <NumberField
            label={said.percent}
            unit="%"
            value={rule.percent}
            min={0}
            max={100}
            by={5}
            error={errorAt("percent")}
            onChange={(percent) => onChange({ ...rule, percent })}
          />
        </>
      )}
      {rule.kind === "clock-minutes" && (
        <NumberField
          label={said.clockMinutes}
          unit="min"
          value={rule.minutes}
          min={0.25}
          max={60}
          by={0.25}
          error={errorAt("minutes")}
          onChange={(minutes) => onChange({ ...rule, minutes })}
        />
      )}
      {"back" in rule && (
        <>
          <FormControlLabel
            control={
              <Switch checked={rule.back} onChange={(_, back) => onChange({ ...rule, back })} />
            }
            label={said.clockBack}
          />
          <p className={styles.soft}>{said.clockHelp}</p>
        </>
      )}
      {rule.kind === "timing" && (
        <NumberField
          label={said.within}
          unit="ms"
          value={rule.within}
          min={5}
          max={200}
          by={5}
          error={errorAt("within")}
          onChange={(within) => onChange({ ...rule, within })}
        />
      )}
    </>
  );
}
