import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { X } from "lucide-react";
import { useState } from "react";
import { useFormState, type Control } from "react-hook-form";
import { FormField } from "~/components/form-field";
import { DayField } from "~/components/day-field";
import { FormNumber } from "~/components/form-number";
import {
  BRINGS,
  FOCUSES,
  ITEM_KINDS,
  type AssignmentItem,
  type Often,
  type ReviewedItem,
} from "~/core/week";
import { oftenTold } from "~/features/my-week/often-told";
import { useFormats } from "~/components/locale";
import type { Day } from "~/core/units";
import type { LessonForm } from "~/forms/lesson";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import { KeysField } from "./keys-field";
import type { KeptLadderName } from "./lesson-shapes";
import styles from "./lesson.module.css";

const { lesson, often } = planWords;

const OFTENS: readonly Often[] = [
  { kind: "daily" },
  { kind: "every-other" },
  ...[1, 2, 3, 4, 5, 6].map((times): Often => ({ kind: "times", times })),
];
const keyOf = (choice: Often): string =>
  choice.kind === "times" ? `times ${choice.times}` : choice.kind;

/** What was asked of an item before, and what its record would allow. */
export type Before = Pick<ReviewedItem, "goalTempo" | "lowered" | "raise"> & {
  /** The day on which this week's tempo was passed. */
  readonly reachedOn?: Day | undefined;
};

interface ItemEditorProps {
  readonly control: Control<LessonForm>;
  readonly index: number;
  readonly item: AssignmentItem;
  readonly ladders: readonly KeptLadderName[];
  readonly hasLadder: boolean;
  /** The item as it was asked in the week before. */
  readonly before: Before | undefined;
  readonly unfolded: boolean;
  readonly onChange: (change: Partial<AssignmentItem>) => void;
  readonly onRemove: () => void;
}

/** An item of next week in one line; everything rarer is folded away. */
export function ItemEditor(props: ItemEditorProps) {
  const { control, index, item, hasLadder, before, onChange, onRemove } = props;
  const rare =
    item.focuses.length > 0 ||
    item.note !== "" ||
    item.keys.length > 0 ||
    item.bring !== "nothing" ||
    item.recordRun !== null;
  const [open, setOpen] = useState(props.unfolded || rare);
  const { errors } = useFormState({ control });
  const refused = errors.text?.items?.[index];
  // What is refused is never out of sight.
  const isRefused = refused?.note ?? refused?.keys ?? refused?.recordRun;
  const unfolded = open || !hasLadder || isRefused !== undefined;
  const name = `text.items.${index}` as const;
  // Nothing is asked slower than before without its reason.
  const was = before?.goalTempo ?? 0;
  const lowered = (item.goalTempo ?? was) < was ? before?.lowered : undefined;
  const { raise } = before ?? {};
  const formats = useFormats();
  const isSame = before?.reachedOn !== undefined && item.goalTempo === before.goalTempo;
  const reached = isSame ? lesson.reachedOn(formats.shortDay(before.reachedOn)) : undefined;
  const canRaise = raise !== undefined && (item.goalTempo ?? 0) < raise;
  return (
    <li className={styles.item}>
      <div className={styles.line}>
        <FormField control={control} name={`${name}.title`} size="small" label={lesson.what} />
        <FormField control={control} name={`${name}.focus`} size="small" label={lesson.focus} />
        <TextField
          select
          size="small"
          label={often.label}
          value={keyOf(item.often)}
          onChange={({ target }) =>
            onChange({ often: OFTENS.find((each) => keyOf(each) === target.value)! })
          }
        >
          {OFTENS.map((choice) => (
            <MenuItem key={keyOf(choice)} value={keyOf(choice)}>
              {oftenTold(choice)}
            </MenuItem>
          ))}
        </TextField>
        <FormNumber
          control={control}
          name={`${name}.minutes`}
          label={lesson.minutes}
          min={1}
          max={120}
        />
        <FormNumber
          control={control}
          name={`${name}.goalTempo`}
          label={lesson.goalTempo}
          disabled={item.passageId === null}
          empty={null}
          min={10}
          max={400}
          helper={reached ?? (lowered && lesson.lowered(was, lowered))}
        />
        <div className={styles.lineButtons}>
          {canRaise && (
            <Button size="small" onClick={() => onChange({ goalTempo: raise })}>
              {lesson.raise(raise)}
            </Button>
          )}
          <Button size="small" aria-expanded={unfolded} onClick={() => setOpen(!open)}>
            {lesson.more}
          </Button>
          <IconButton size="small" aria-label={lesson.remove(item.title)} onClick={onRemove}>
            <X size={18} />
          </IconButton>
        </div>
      </div>
      {unfolded && <RareFields {...props} />}
    </li>
  );
}

function RareFields({ control, index, item, ladders, hasLadder, onChange }: ItemEditorProps) {
  const name = `text.items.${index}` as const;
  return (
    <div className={styles.rare}>
      <FormField control={control} name={`${name}.note`} size="small" label={lesson.note} />
      <FormField control={control} name={`${name}.bring`} select size="small" label={lesson.bring}>
        {BRINGS.map((bring) => (
          <MenuItem key={bring} value={bring}>
            {planWords.item.bring[bring]}
          </MenuItem>
        ))}
      </FormField>
      {item.passageId !== null && item.bring === "recording" && (
        <DayField
          label={lesson.due}
          value={item.due ?? ""}
          onChange={(due) => onChange({ due: due || null })}
        />
      )}
      {item.passageId !== null && (
        <FormNumber
          control={control}
          name={`${name}.recordRun`}
          label={lesson.recordRun}
          helper={lesson.recordRunHelp}
          empty={null}
          min={1}
          max={50}
        />
      )}
      {item.passageId !== null && (
        <TextField
          select
          size="small"
          label={lesson.ladder}
          value={item.keptLadderId ?? ""}
          helperText={hasLadder || item.keptLadderId ? undefined : lesson.noLadder}
          onChange={({ target }) => onChange({ keptLadderId: target.value || null })}
        >
          <MenuItem value="">{lesson.ladderAsIs}</MenuItem>
          {ladders.map(({ id, name: ladder }) => (
            <MenuItem key={id} value={id}>
              {ladder}
            </MenuItem>
          ))}
        </TextField>
      )}
      <KeysField keys={item.keys} onChange={(keys) => onChange({ keys })} />
      <FormField control={control} name={`${name}.kind`} select size="small" label={lesson.kind}>
        {ITEM_KINDS.map((kind) => (
          <MenuItem key={kind} value={kind}>
            {planWords.item.kinds[kind]}
          </MenuItem>
        ))}
      </FormField>
      <ToggleButtonGroup
        size="small"
        value={[...item.focuses]}
        aria-label={lesson.focuses}
        onChange={(_, focuses: AssignmentItem["focuses"]) => onChange({ focuses })}
      >
        {FOCUSES.map((each) => (
          <ToggleButton key={each} value={each}>
            {words.focuses[each]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </div>
  );
}
