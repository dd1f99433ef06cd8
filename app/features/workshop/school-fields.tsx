import { NumberField } from "~/components/number-field";
import { fieldsOf, type ListItem, type SchoolField } from "~/core/ladder";
import { words } from "~/words";
import { Choice } from "~/components/choice";
import type { DraftPhase, Numbers } from "./draft";
import { ListEditor } from "./list-editor";
import { numberOf } from "./number-of";

interface SchoolFieldsProps {
  readonly phase: DraftPhase;
  /** Its tempi are told in percent of a full tempo. */
  readonly inPercent: boolean;
  /** The sentence for a path below this phase's numbers. */
  readonly errorAt: (path: string) => string | undefined;
  readonly onChange: (numbers: Numbers) => void;
}

const { ladder } = words;

/** The numbers that a school asks for, whichever it is. */
export function SchoolFields({ phase, inPercent, errorAt, onChange }: SchoolFieldsProps) {
  const { name, numbers } = phase.school;
  return fieldsOf(name).map((field) => (
    <OneField
      key={`${phase.id}-${name}-${field.key}`}
      field={field}
      inPercent={inPercent}
      label={ladder.numbersOf[name]?.[field.key] ?? ladder.numbers[field.key] ?? field.key}
      numbers={numbers}
      errorAt={errorAt}
      onChange={(value) => onChange({ ...numbers, [field.key]: value })}
    />
  ));
}

function OneField(props: {
  field: SchoolField;
  inPercent: boolean;
  label: string;
  numbers: Numbers;
  errorAt: (path: string) => string | undefined;
  onChange: (value: unknown) => void;
}) {
  const { field, inPercent, label, numbers, errorAt, onChange } = props;
  const value = numbers[field.key];
  switch (field.kind) {
    case "number": {
      const asked = field.unit === "chosen" ? String(numbers.in) : field.unit;
      const unit = inPercent && asked === "bpm" ? "percent" : asked;
      return (
        <NumberField
          label={label}
          unit={ladder.units[unit as keyof typeof ladder.units]}
          value={numberOf(value)}
          min={field.min}
          max={field.max}
          by={field.by ?? 1}
          error={errorAt(field.key)}
          onChange={onChange}
        />
      );
    }
    case "choice":
      return (
        <Choice
          label={label}
          value={String(value)}
          options={field.options}
          told={(option) => {
            const asked = inPercent && option === "bpm" ? "percent" : option;
            return ladder.choices[asked] ?? asked;
          }}
          error={errorAt(field.key)}
          onChange={onChange}
        />
      );
    case "list":
      return (
        <ListEditor
          field={field}
          label={label}
          items={value as readonly ListItem[]}
          error={errorAt(field.key)}
          errorAt={(path) => errorAt(`${field.key}.${path}`)}
          onChange={onChange}
        />
      );
  }
}
