import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useEffect } from "react";
import { useController } from "react-hook-form";
import { DayField } from "~/components/day-field";
import { FormField } from "~/components/form-field";
import { Section } from "~/components/page";
import type { Day } from "~/core/units";
import type { PassageLine } from "~/features/shapes";
import { planWords } from "~/words/plan";
import { itemFor } from "./item-for";
import { ItemList } from "./item-list";
import type { KeptLadderName, LastWeek } from "./lesson-shapes";
import type { useExercise } from "./use-exercise";
import type { Lesson } from "./use-lesson";
import styles from "./lesson.module.css";

const { lesson } = planWords;
interface WeekItemsProps {
  readonly it: Lesson;
  readonly self: boolean;
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
  const { it, today, last, shapes, ladders, given } = props;
  const known = new Set(props.passages.map(({ id }) => id));
  const passages = [...props.passages, ...given.passages.filter(({ id }) => !known.has(id))];
  const asked = (id: string) => it.items.some(({ passageId }) => passageId === id);
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
      <ItemList
        it={it}
        passages={passages}
        ladders={ladders}
        beforeOf={(id) => last?.items.find((each) => each.id === id)}
        isUnfolded={(id) => it.decisions[id] === "changed"}
        empty={lesson.none}
        exercises={props.exercises.length > 0 ? { ...given, all: props.exercises } : undefined}
      />
      <div className={styles.word}>
        <FormField
          control={it.control}
          name="text.word"
          label={props.self ? lesson.ownWord : lesson.word}
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
