import type { PhaseTasks, TaskOrder } from "~/core/ladder";
import { formatKey, type Key } from "~/core/units";
import { rotation } from "~/core/week";

/** What a school goes through, while it is drawn: keys as they are typed. */
export type DraftTasks =
  | {
      readonly of: "tasks";
      readonly order: TaskOrder;
      readonly items: readonly { readonly name: string; readonly full: boolean }[];
    }
  | { readonly of: "keys"; readonly order: TaskOrder; readonly items: readonly string[] };

/** A stored list as a draft. */
export function draftTasks(tasks: PhaseTasks | null): DraftTasks | null {
  if (tasks?.of !== "keys") return tasks;
  return { ...tasks, items: tasks.items.map(formatKey) };
}

const round = (mode: Key["mode"], letter: Key["letter"]) =>
  rotation({ letter, accidental: 0, mode }, "fifths-up").map(formatKey);

/** Lists to begin with. */
export const TASK_PRESETS = {
  hands: {
    of: "tasks",
    order: "each-rung",
    items: [
      { name: "right hand", full: false },
      { name: "left hand", full: false },
      { name: "both hands", full: true },
    ],
  },
  dynamics: {
    of: "tasks",
    order: "by-play",
    items: [
      { name: "soft", full: true },
      { name: "loud", full: true },
    ],
  },
  major: { of: "keys", order: "each-rung", items: round("major", "C") },
  minor: { of: "keys", order: "each-rung", items: round("minor", "A") },
} as const satisfies Record<string, DraftTasks>;
export type TaskPreset = keyof typeof TASK_PRESETS;
