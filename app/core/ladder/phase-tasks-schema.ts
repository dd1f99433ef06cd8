import * as v from "valibot";
import { keySchema, parseKey } from "~/core/units";
import { ownWords } from "./list-schema";

/**
 * How a school goes through a list of tasks: all of them at each rung before the next; the whole
 * way with the first, then with the second; or alternately within a rung, play by play.
 */
const TASK_ORDERS = ["each-rung", "in-turn", "by-play"] as const;
export type TaskOrder = (typeof TASK_ORDERS)[number];

const MOST_TASKS = 24;

const order = v.picklist(TASK_ORDERS, "Choose how the list is gone through.");

/** Something that is done: "left hand", "both hands", "very soft". */
const taskItem = v.object({
  name: ownWords,
  /** Whether this is the passage as it should be; what is not tells nothing of it. */
  full: v.boolean(),
});

const keyItem = v.union(
  [
    keySchema,
    v.pipe(
      v.string(),
      v.transform(parseKey),
      v.check((key) => key !== undefined, "Write a key: C, F♯ minor, Eb."),
      v.transform((key) => key!),
    ),
  ],
  "Write a key: C, F♯ minor, Eb.",
);

const listOf = <T extends v.GenericSchema>(item: T) =>
  v.pipe(
    v.array(item),
    v.minLength(1, "List at least one, or choose that nothing is gone through."),
    v.maxLength(MOST_TASKS, `At most ${MOST_TASKS} lines.`),
  );

/** What a school goes through besides its tempi: tasks, or keys. */
export const phaseTasksSchema = v.variant("of", [
  v.object({ of: v.literal("tasks"), order, items: listOf(taskItem) }),
  v.object({ of: v.literal("keys"), order, items: listOf(keyItem) }),
]);
export type PhaseTasks = v.InferOutput<typeof phaseTasksSchema>;
