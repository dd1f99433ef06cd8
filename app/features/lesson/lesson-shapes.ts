import type { Feeling } from "~/core/session";
import type { Asked, AssignmentText, ReviewedItem } from "~/core/week";
import type { Day } from "~/core/units";

export interface LastWeek {
  readonly id: string;
  readonly from: Day;
  readonly until: Day;
  readonly goal: Asked;
  readonly done: { readonly minutes: number; readonly days: number };
  /** It is not over yet. */
  readonly goesOn: boolean;
  readonly items: readonly ReviewedItem[];
  readonly notes: readonly { readonly day: Day; readonly text: string }[];
  readonly feelings: readonly { readonly day: Day; readonly feeling: Feeling }[];
  readonly ratings: readonly {
    readonly what: string;
    readonly yes: number;
    readonly partly: number;
    readonly no: number;
  }[];
}

export interface LessonDraft {
  readonly version: number;
  /** The newest week that was set when the page was opened, as it was then. */
  readonly after: string | null;
  /** It is set already: setting it again changes it. */
  readonly set: boolean;
  /** What is looked back on came before the lesson that set it. */
  readonly heldToday: boolean;
  readonly from: Day;
  readonly until: Day;
  readonly text: AssignmentText;
  readonly kept: boolean;
}

export interface KeptLadderName {
  readonly id: string;
  readonly name: string;
}
