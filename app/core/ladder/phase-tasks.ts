import * as v from "valibot";
import { formatKey, keySchema, parseKey } from "~/core/units";
import { ownWords } from "./list-schema";
import { natureOf, type SchoolName } from "./registry";
import type { Step, Task } from "./school";

/**
 * How a school goes through a list of tasks: all of them at each rung before the next; the whole
 * way with the first, then with the second; or alternately within a rung, play by play.
 */
export const TASK_ORDERS = ["each-rung", "in-turn", "by-play"] as const;
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

const tasksIn = (tasks: PhaseTasks): Task[] =>
  tasks.of === "keys"
    ? tasks.items.map((key) => ({ kind: "key", name: formatKey(key), full: true }))
    : tasks.items.map((item) => ({ kind: "layer", ...item }));

/** Schools that raise the tempo of one and the same thing can carry tasks. */
export const carriesTasks = (name: SchoolName): boolean => natureOf(name).tempo !== "stays";

/** Links and days are stages of their own: their lists are gone through at each rung, or by play. */
export function ordersFor(name: SchoolName): readonly TaskOrder[] {
  const { linked, daily } = natureOf(name);
  return linked || daily ? ["each-rung", "by-play"] : TASK_ORDERS;
}

/** The steps of a school from a start; a later task of a row begins at the ladder's own. */
export type StepsFrom = (task: number) => Iterable<Step>;

/**
 * A school's steps with the tasks that it carries. `kept` is the task at which an earlier day left
 * off: one after the other it is gone on with; keys at each rung go round from there, so that none
 * is left out for days; other tasks begin with the first again, as they lead to one another.
 */
export function* withTasks(
  { of, order: by, ...rest }: PhaseTasks,
  steps: StepsFrom,
  { kept, staged }: { readonly kept: number; readonly staged: boolean },
): Generator<Step> {
  const all = tasksIn({ of, order: by, ...rest } as PhaseTasks);
  const at = Math.min(kept, all.length - 1);
  switch (by) {
    case "by-play":
      for (const step of steps(0)) yield { ...step, alternates: all };
      return;
    case "in-turn":
      for (let stage = at; stage < all.length; stage++) {
        for (const step of steps(stage)) yield { ...step, stage, task: all[stage]! };
      }
      return;
    case "each-rung": {
      const first = of === "keys" && !staged ? at : 0;
      for (const step of steps(0)) {
        for (let n = 0; n < all.length; n++) {
          const stage = (first + n) % all.length;
          const task = { ...all[stage]!, listed: true };
          yield { ...step, ...(staged ? {} : { stage }), task };
        }
      }
    }
  }
}
