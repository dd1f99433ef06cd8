import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { X } from "lucide-react";
import { useState } from "react";
import { BRINGS, FOCUSES, ITEM_KINDS, type AssignmentItem, type Often } from "~/core/week";
import { oftenTold } from "~/features/plan/often-told";
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

const numberFrom = (typed: string): number => (typed === "" ? NaN : Number(typed));
const shownNumber = (value: number | null): string | number =>
  value === null || Number.isNaN(value) ? "" : value;

interface ItemEditorProps {
  readonly item: AssignmentItem;
  /** By the name of the field. */
  readonly errorAt: (field: string) => string | undefined;
  readonly ladders: readonly KeptLadderName[];
  readonly hasLadder: boolean;
  /** The tempo that was asked before, where what is suggested lies below it. */
  readonly lowered: { readonly from: number; readonly reached: number } | undefined;
  readonly unfolded: boolean;
  readonly onChange: (change: Partial<AssignmentItem>) => void;
  readonly onRemove: () => void;
}

/** An item of next week in one line; everything rarer is folded away. */
export function ItemEditor(props: ItemEditorProps) {
  const { item, errorAt, ladders, hasLadder, lowered, onChange, onRemove } = props;
  const rare =
    item.focuses.length > 0 || item.note !== "" || item.keys.length > 0 || item.bring !== "nothing";
  const [open, setOpen] = useState(props.unfolded || rare);
  const error = (field: string) => {
    const sentence = errorAt(field);
    return { error: sentence !== undefined, helperText: sentence };
  };
  const unfolded = open || !hasLadder;
  return (
    <li className={styles.item}>
      <div className={styles.line}>
        <TextField
          size="small"
          label={lesson.what}
          value={item.title}
          onChange={({ target }) => onChange({ title: target.value })}
          {...error("title")}
        />
        <TextField
          size="small"
          label={lesson.focus}
          value={item.focus}
          onChange={({ target }) => onChange({ focus: target.value })}
          {...error("focus")}
        />
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
        <TextField
          size="small"
          type="number"
          label={lesson.minutes}
          value={shownNumber(item.minutes)}
          onChange={({ target }) => onChange({ minutes: numberFrom(target.value) })}
          slotProps={{ htmlInput: { min: 1, max: 120 } }}
          {...error("minutes")}
        />
        <TextField
          size="small"
          type="number"
          label={lesson.goalTempo}
          disabled={item.passageId === null}
          value={shownNumber(item.goalTempo)}
          onChange={({ target }) =>
            onChange({ goalTempo: target.value === "" ? null : Number(target.value) })
          }
          slotProps={{ htmlInput: { min: 10, max: 400 } }}
          {...error("goalTempo")}
          {...(lowered && !errorAt("goalTempo")
            ? { helperText: lesson.lowered(lowered.from, lowered.reached) }
            : {})}
        />
        <div className={styles.lineButtons}>
          <Button size="small" aria-expanded={unfolded} onClick={() => setOpen(!open)}>
            {lesson.more}
          </Button>
          <IconButton size="small" aria-label={lesson.remove(item.title)} onClick={onRemove}>
            <X size={18} />
          </IconButton>
        </div>
      </div>
      {unfolded && (
        <div className={styles.rare}>
          <TextField
            size="small"
            label={lesson.note}
            value={item.note}
            onChange={({ target }) => onChange({ note: target.value })}
            {...error("note")}
          />
          <TextField
            select
            size="small"
            label={lesson.bring}
            value={item.bring}
            onChange={({ target }) => onChange({ bring: target.value as AssignmentItem["bring"] })}
          >
            {BRINGS.map((bring) => (
              <MenuItem key={bring} value={bring}>
                {planWords.item.bring[bring]}
              </MenuItem>
            ))}
          </TextField>
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
              {ladders.map(({ id, name }) => (
                <MenuItem key={id} value={id}>
                  {name}
                </MenuItem>
              ))}
            </TextField>
          )}
          <KeysField keys={item.keys} onChange={(keys) => onChange({ keys })} />
          <TextField
            select
            size="small"
            label={lesson.kind}
            value={item.kind}
            onChange={({ target }) => onChange({ kind: target.value as AssignmentItem["kind"] })}
          >
            {ITEM_KINDS.map((kind) => (
              <MenuItem key={kind} value={kind}>
                {planWords.item.kinds[kind]}
              </MenuItem>
            ))}
          </TextField>
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
      )}
    </li>
  );
}
