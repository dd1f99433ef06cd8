import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useEffect } from "react";
import { useController, useFormState } from "react-hook-form";
import { DayField } from "~/components/day-field";
import { FormField } from "~/components/form-field";
import { Section } from "~/components/page";
import { ITEM_KINDS, MOST_ITEMS, newItem, type AssignmentItem } from "~/core/week";
import type { Day } from "~/core/units";
import type { PassageLine } from "~/features/shapes";
import { planWords } from "~/words/plan";
import { itemFor, passageTitle } from "./item-for";
import { ItemEditor } from "./item-editor";
import type { KeptLadderName, LastWeek } from "./lesson-shapes";
import type { useExercise } from "./use-exercise";
import type { Lesson } from "./use-lesson";
import styles from "./lesson.module.css";

const { lesson } = planWords;
interface WeekItemsProps {
  readonly it: Lesson;
  readonly today: Day;
  readonly last: LastWeek | undefined;
  readonly passages: readonly PassageLine[];
  readonly shapes: readonly KeptLadderName[];
  readonly ladders: readonly KeptLadderName[];
  readonly exercises: readonly KeptLadderName[];
  readonly given: ReturnType<typeof useExercise>;
}

/** What next week asks: its days, its items, a word to the student. */
export function WeekItems(props: WeekItemsProps) {
  const { it, today, last, shapes, ladders, exercises, given } = props;
  const known = new Set(props.passages.map(({ id }) => id));
  const passages = [...props.passages, ...given.passages.filter(({ id }) => !known.has(id))];
  const asked = (id: string) => it.items.some(({ passageId }) => passageId === id);
  const free = passages.filter(({ id }) => !asked(id));
  const addPassage = (id: string) => it.add(itemFor(passages.find((each) => each.id === id)!));
  const { errors } = useFormState({ control: it.control });
  const itemsRefused = errors.text?.items?.message ?? errors.text?.items?.root?.message;
  const { brought } = given;
  useEffect(() => {
    for (const passage of brought ?? []) {
      if (!asked(passage.id)) it.add({ ...itemFor(passage), kind: "technique" });
    }
    // Once for each exercise that was given.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [brought]);
  return (
    <Section
      title={lesson.next}
      aside={
        <div className={styles.dates}>
          <LessonDay control={it.control} name="from" today={today} />
          <LessonDay control={it.control} name="until" today={today} />
        </div>
      }
    >
      {it.items.length === 0 ? (
        <p className={styles.soft}>{lesson.none}</p>
      ) : (
        <ol className={styles.items}>
          {it.items.map((item, index) => (
            <ItemEditor
              key={it.keys[index]}
              control={it.control}
              index={index}
              item={item}
              ladders={ladders}
              hasLadder={
                item.passageId === null ||
                passages.some(({ id, target }) => id === item.passageId && target !== null)
              }
              before={last?.items.find(({ id }) => id === item.id)}
              unfolded={it.decisions[item.id] === "changed"}
              onChange={(change) => it.setItem(index, change)}
              onRemove={() => it.remove(index)}
            />
          ))}
        </ol>
      )}
      <div className={styles.adding}>
        <TextField
          select
          size="small"
          label={lesson.addPassage}
          value=""
          disabled={free.length === 0 || it.items.length >= MOST_ITEMS}
          onChange={({ target }) => addPassage(target.value)}
        >
          {free.map((passage) => (
            <MenuItem key={passage.id} value={passage.id}>
              {passageTitle(passage)}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          size="small"
          label={lesson.addOther}
          value=""
          disabled={it.items.length >= MOST_ITEMS}
          helperText={it.items.length >= MOST_ITEMS ? lesson.tooMany(MOST_ITEMS) : undefined}
          onChange={({ target }) => {
            const kind = target.value as AssignmentItem["kind"];
            it.add(newItem(crypto.randomUUID(), { kind, title: planWords.item.kinds[kind] }));
          }}
        >
          {ITEM_KINDS.map((kind) => (
            <MenuItem key={kind} value={kind}>
              {planWords.item.kinds[kind]}
            </MenuItem>
          ))}
        </TextField>
        {exercises.length > 0 && (
          <TextField
            select
            size="small"
            label={lesson.addExercise}
            value=""
            disabled={given.busy || it.items.length >= MOST_ITEMS}
            onChange={({ target }) => given.give(target.value)}
          >
            {exercises.map(({ id, name }) => (
              <MenuItem key={id} value={id}>
                {name}
              </MenuItem>
            ))}
          </TextField>
        )}
      </div>
      {itemsRefused && <p role="alert">{itemsRefused}</p>}
      <div className={styles.word}>
        <FormField
          control={it.control}
          name="text.word"
          label={lesson.word}
          multiline
          minRows={2}
        />
        {shapes.length > 0 && (
          <TextField
            select
            size="small"
            label={lesson.shape}
            value={shapes.some(({ id }) => id === it.values.text.shape) ? it.values.text.shape : ""}
            onChange={({ target }) => it.setValue("text.shape", target.value || null)}
          >
            <MenuItem value="">{lesson.usualShape}</MenuItem>
            {shapes.map(({ id, name }) => (
              <MenuItem key={id} value={id}>
                {name}
              </MenuItem>
            ))}
          </TextField>
        )}
      </div>
    </Section>
  );
}

interface LessonDayProps {
  readonly control: Lesson["control"];
  readonly name: "from" | "until";
  readonly today: Day;
}

function LessonDay({ control, name, today }: LessonDayProps) {
  const { field, fieldState } = useController({ control, name });
  return (
    <DayField
      label={lesson[name]}
      value={field.value}
      min={today}
      onChange={field.onChange}
      error={fieldState.error?.message}
    />
  );
}
