import Button from "@mui/material/Button";
import { NumberField } from "~/components/number-field";
import { firstRule, RULE_KINDS, type Gate, type Rule, type RuleKind } from "~/core/gate";
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
  const unused = RULE_KINDS.filter((kind) => !gate.some((rule) => rule.kind === kind));
  return (
    <>
      {gate.map((rule, i) => (
        <div key={i} className={styles.rule}>
          {i > 0 && <span className={styles.and}>{words.and}</span>}
          <RuleFields
            rule={rule}
            kinds={[rule.kind, ...unused]}
            errorAt={(key) => errors[`gate.${i}.${key}`]}
            onChange={(next) => onChange(gate.with(i, next))}
          />
          {gate.length > 1 && (
            <Button size="small" onClick={() => onChange(gate.filter((_, at) => at !== i))}>
              {said.remove}
            </Button>
          )}
        </div>
      ))}
      {gate.length < MOST_RULES && unused.length > 0 && (
        <Button size="small" onClick={() => onChange([...gate, firstRule(unused[0]!, 3)])}>
          {said.add}
        </Button>
      )}
    </>
  );
}

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
          label={rule.kind === "played" ? said.played : said.plays}
          unit={rule.kind === "played" ? said.playsUnit : said.clean}
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
