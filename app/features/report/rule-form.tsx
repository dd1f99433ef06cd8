import Slider from "@mui/material/Slider";
import { useId } from "react";
import { Form } from "react-router";
import { SubmitButton } from "~/components/submit-button";
import { GRADE_PARTS, type GradeRule } from "~/core/week";
import { reportWords } from "~/words/report";
import styles from "./report.module.css";

const { rule: said } = reportWords;

interface RuleFormProps {
  readonly rule: GradeRule;
  readonly onChange: (rule: GradeRule) => void;
  readonly kept: boolean;
  readonly refusal: string | undefined;
}

/** The rule, a slider for each of its numbers. */
export function RuleForm({ rule, onChange, kept, refusal }: RuleFormProps) {
  return (
    <Form method="post" className={styles.rule}>
      <p className={styles.soft}>{said.lead}</p>
      <Number
        name="minutes"
        label={said.minutes(rule.minutes)}
        value={rule.minutes}
        span={[10, 600, 10]}
        onChange={(minutes) => onChange({ ...rule, minutes })}
      />
      <Number
        name="days"
        label={said.days(rule.days)}
        value={rule.days}
        span={[1, 7, 1]}
        onChange={(days) => onChange({ ...rule, days })}
      />
      {GRADE_PARTS.map((part) => (
        <Number
          key={part}
          name={`weight-${part}`}
          label={said.weight(said.weights[part], rule.weights[part])}
          value={rule.weights[part]}
          span={[0, 100, 5]}
          onChange={(weight) => onChange({ ...rule, weights: { ...rule.weights, [part]: weight } })}
        />
      ))}
      <Number
        name="cap"
        label={said.cap(rule.cap)}
        value={rule.cap}
        span={[100, 150, 5]}
        onChange={(cap) => onChange({ ...rule, cap })}
      />
      <SubmitButton variant="outlined">{said.keep}</SubmitButton>
      {kept && <p role="status">{said.kept}</p>}
      {refusal && <p role="alert">{refusal}</p>}
    </Form>
  );
}

interface NumberProps {
  readonly name: string;
  readonly label: string;
  readonly value: number;
  /** Least, most, step. */
  readonly span: readonly [number, number, number];
  readonly onChange: (value: number) => void;
}

function Number({ name, label, value, span: [min, max, step], onChange }: NumberProps) {
  const id = useId();
  return (
    <div>
      <span id={id}>{label}</span>
      <Slider
        size="small"
        name={name}
        aria-labelledby={id}
        value={value}
        min={min}
        max={max}
        step={step}
        onChange={(_, next) => onChange(next as number)}
      />
    </div>
  );
}
