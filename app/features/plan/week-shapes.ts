import type { AssignmentItem, LayoutNote } from "~/core/week";
import type { BeatUnit, Day } from "~/core/units";

/** A day of a week: what there is, what is asked, what was played. */
export interface WeekDay {
  readonly day: Day;
  readonly minutes: number;
  readonly times: readonly { readonly from: string; readonly minutes: number }[];
  readonly asked: readonly { readonly itemId: string; readonly minutes: number }[];
  readonly played: number;
}

export interface WeekItem extends AssignmentItem {
  readonly bars: { readonly from: number; readonly to: number } | null;
  readonly beatUnit: BeatUnit | null;
  readonly key: string | undefined;
  readonly done: readonly { readonly day: Day; readonly minutes: number }[];
}

/** A week as it is laid out. */
export interface StudentWeek {
  readonly id: string | null;
  readonly from: Day;
  readonly until: Day;
  readonly text: {
    readonly word: string;
    readonly goal: { readonly minutes: number; readonly days: number };
  };
  readonly items: readonly WeekItem[];
  readonly days: readonly WeekDay[];
  readonly notes: readonly LayoutNote[];
  readonly played: { readonly minutes: number; readonly days: number };
}
