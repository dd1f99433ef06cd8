import { valibotResolver } from "@hookform/resolvers/valibot";
import { useFieldArray, useWatch, type UseFormReturn } from "react-hook-form";
import type { GenericSchema } from "valibot";
import type { AssignmentItem } from "~/core/week";
import { lessonSchema, type LessonForm } from "~/forms/lesson";

// Stored weeks may leave out what a page always has.
export const lessonResolver = valibotResolver(lessonSchema as GenericSchema<LessonForm>);

/** Minutes that are being typed may be none yet. */
export const emptyMinutes = (name: string, value: unknown): unknown =>
  name === "minutes" && value === null ? NaN : value;

/** The items of a week in a form: changed, added, taken out. */
export function useItems({ control, setValue }: UseFormReturn<LessonForm>) {
  // Each item has an id of its own; the array's keys are for React only.
  const list = useFieldArray({ control, name: "text.items", keyName: "key" });
  const values = useWatch({ control }) as LessonForm;
  return {
    control,
    setValue,
    values,
    items: values.text.items,
    keys: list.fields.map(({ key }) => key),
    setItem: (index: number, part: Partial<AssignmentItem>) => {
      for (const [name, value] of Object.entries(part)) {
        setValue(`text.items.${index}.${name}` as "text.items.0.note", value as string);
      }
    },
    add: (item: AssignmentItem) => list.append(item, { shouldFocus: false }),
    remove: (index: number) => list.remove(index),
    replace: (items: readonly AssignmentItem[]) => list.replace([...items]),
  };
}

export type Items = ReturnType<typeof useItems>;
