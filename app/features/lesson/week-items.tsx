import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useRef } from "react";
import { useController } from "react-hook-form";
import { DayField } from "~/components/day-field";
import { FormField } from "~/components/form-field";
import { Section } from "~/components/page";
import { useTypedBefore } from "~/components/typed-before";
import { ITEM_KINDS, MOST_ITEMS, newItem, type AssignmentItem } from "~/core/week";
import type { Day } from "~/core/units";
import type { PassageLine } from "~/features/shapes";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import { ItemEditor } from "./item-editor";
import type { KeptLadderName, LastWeek } from "./lesson-shapes";
import type { Lesson } from "./use-lesson";
import styles from "./lesson.module.css";

const { lesson } = planWords;
const USUAL_MINUTES = 10;

const passageTitle = ({ title, name, fromBar, toBar }: PassageLine): string =>
  `${title}, ${name || words.bars(fromBar, toBar)}`;

interface WeekItemsProps {
  readonly it: Lesson;
  readonly today: Day;
  readonly last: LastWeek | undefined;
  readonly passages: readonly PassageLine[];
  readonly shapes: readonly KeptLadderName[];
  readonly ladders: readonly KeptLadderName[];
}

/** What next week asks: its days, its items, a word to the student. */
export function WeekItems({ it, today, last, passages, shapes, ladders }: WeekItemsProps) {
  const around = useRef<HTMLDivElement>(null);
  useTypedBefore(around, it.takeTyped);
  const free = passages.filter(({ id }) => !it.items.some(({ passageId }) => passageId === id));
  const addPassage = (id: string) => {
    const passage = passages.find((each) => each.id === id)!;
    const minutes = passage.minutes ?? USUAL_MINUTES;
    const title = passageTitle(passage).slice(0, 120);
    const goalTempo = passage.target;
    it.add(
      newItem(crypto.randomUUID(), {
        passageId: id,
        title,
        focus: passage.focus,
        minutes,
        goalTempo,
      }),
    );
  };
  return (
    <div ref={around}>
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
                lowered={last?.items.find(({ id }) => id === item.id)?.lowered}
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
        </div>
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
              value={
                shapes.some(({ id }) => id === it.values.text.shape) ? it.values.text.shape : ""
              }
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
    </div>
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
