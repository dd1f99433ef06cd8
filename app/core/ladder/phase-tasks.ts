import { formatKey } from "~/core/units";
import type { PhaseTasks, TaskOrder } from "./phase-tasks-schema";
import { natureOf, type SchoolName } from "./registry";
import type { Step, Task } from "./school";

const tasksIn = (tasks: PhaseTasks): Task[] =>
  tasks.of === "keys"
    ? tasks.items.map((key) => ({ kind: "key", name: formatKey(key), full: true }))
    : tasks.items.map((item) => ({ kind: "layer", ...item }));

/** Schools that raise the tempo of one and the same thing can carry tasks. */
export const carriesTasks = (name: SchoolName): boolean => natureOf(name).tempo !== "stays";

/** Links and days are stages of their own: their lists are gone through at each rung, or by play. */
export function ordersFor(name: SchoolName): readonly TaskOrder[] {
  const { linked, daily } = natureOf(name);
  return linked || daily ? ["each-rung", "by-play"] : ["each-rung", "in-turn", "by-play"];
}

/** The steps of a school from a start; a later task of a row begins at the ladder's own. */
export type StepsFrom = (task: number) => Iterable<Step>;

/**
 * A school's steps with the tasks that it carries. `kept` is the task at which an earlier day left
 * off: one after the other it is gone on with; keys at each rung go round from there, so that none
 * is left out for days; other tasks begin with the first again, as they lead to one another.
 */
export function* withTasks(
  tasks: PhaseTasks,
  steps: StepsFrom,
  { kept, staged }: { readonly kept: number; readonly staged: boolean },
): Generator<Step> {
  const all = tasksIn(tasks);
  const at = Math.min(kept, all.length - 1);
  switch (tasks.order) {
    case "by-play":
      for (const step of steps(0)) yield { ...step, alternates: all };
      return;
    case "in-turn":
      for (let stage = at; stage < all.length; stage++) {
        for (const step of steps(stage)) yield { ...step, stage, task: all[stage]! };
      }
      return;
    case "each-rung": {
      const first = tasks.of === "keys" && !staged ? at : 0;
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
