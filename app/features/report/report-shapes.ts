import type { Grade, GradeRule } from "~/core/week";

export interface ReportLine {
  readonly id: string;
  readonly name: string;
  readonly instrument: string;
  readonly days: number;
  readonly minutes: number;
  readonly byHand: number;
  readonly sessions: number;
  readonly regularity: number;
  readonly items: { readonly asked: number; readonly done: number };
  readonly takes: { readonly asked: number; readonly handedIn: number; readonly late: number };
  readonly ratings: readonly string[];
  readonly grade: Grade | undefined;
}

export interface Report {
  readonly room: string;
  readonly query: {
    readonly group: string;
    readonly person: string;
    readonly from: string;
    readonly to: string;
  };
  /** The group or person that it is of; everyone without. */
  readonly who: string | undefined;
  readonly groups: readonly { readonly id: string; readonly name: string }[];
  readonly students: readonly { readonly id: string; readonly name: string }[];
  readonly rule: GradeRule;
  readonly weeks: number;
  readonly lines: readonly ReportLine[];
}
