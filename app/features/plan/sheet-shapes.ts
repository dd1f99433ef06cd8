import type { Gate } from "~/core/gate";
import type { AssignmentItem, WeekGoal } from "~/core/week";
import type { BeatUnit, Day } from "~/core/units";

export interface SheetItem extends AssignmentItem {
  readonly bars: { readonly from: number; readonly to: number } | null;
  readonly beatUnit: BeatUnit | null;
  readonly key: string | undefined;
  readonly gate: Gate | null;
  readonly tempi: readonly number[];
  readonly target: number | null;
  readonly asked: readonly number[];
  readonly doneOn: readonly Day[];
}

/** A week for the stand or the notebook. */
export interface Sheet {
  readonly room: string;
  readonly person: { readonly id: string; readonly name: string; readonly instrument: string };
  readonly week: { readonly id: string; readonly from: Day; readonly until: Day };
  readonly days: readonly { readonly day: Day; readonly minutes: number; readonly asked: number }[];
  readonly word: string;
  readonly goal: WeekGoal;
  readonly items: readonly SheetItem[];
}
