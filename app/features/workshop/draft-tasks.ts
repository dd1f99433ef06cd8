import type { PhaseTasks, TaskOrder } from "~/core/ladder";
import { formatKey, type Key } from "~/core/units";
import { CIRCLE_OF_FIFTHS } from "~/core/week";

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

const inMode = (keys: readonly string[], mode: Key["mode"]) => keys.map((key) => `${key} ${mode}`);
/** Minor keys by fifths from A, as they are usually spelt. */
const MINOR_FIFTHS = ["A", "E", "B", "F♯", "C♯", "G♯", "E♭", "B♭", "F", "C", "G", "D"];

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
  major: { of: "keys", order: "each-rung", items: inMode(CIRCLE_OF_FIFTHS, "major") },
  minor: { of: "keys", order: "each-rung", items: inMode(MINOR_FIFTHS, "minor") },
} as const satisfies Record<string, DraftTasks>;
export type TaskPreset = keyof typeof TASK_PRESETS;
