import type { GradeRule, ReportLine } from "~/core/week";

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
  readonly lines: readonly ReportLine[];
}
