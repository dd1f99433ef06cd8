import type { Asked, SheetItem } from "~/core/week";
import type { Day } from "~/core/units";

/** A week for the stand or the notebook. */
export interface Sheet {
  readonly room: string;
  readonly person: { readonly id: string; readonly name: string; readonly instrument: string };
  readonly week: { readonly id: string; readonly from: Day; readonly until: Day };
  readonly days: readonly { readonly day: Day; readonly minutes: number; readonly asked: number }[];
  /** The day on which it stood so, where some of it is over and some ahead. */
  readonly asOf: Day | undefined;
  readonly word: string;
  readonly goal: Asked;
  readonly items: readonly SheetItem[];
}
