import type { Day } from "~/core/units";
import type { Grade } from "./grade";

/** What somebody practised in a period, and what it comes to by the rule. */
export interface ReportLine {
  readonly id: string;
  readonly name: string;
  readonly instrument: string;
  /** The day on which they came, where that lies within the period: counted from there. */
  readonly since: Day | undefined;
  /** Weeks that it is counted over. */
  readonly weeks: number;
  readonly days: number;
  readonly minutes: number;
  /** Of these minutes, those that were written down by hand. */
  readonly byHand: number;
  readonly sessions: number;
  /** Days with practice ÷ days of the period, counted from their coming. */
  readonly regularity: number;
  readonly items: { readonly asked: number; readonly done: number };
  readonly takes: { readonly asked: number; readonly handedIn: number; readonly late: number };
  readonly ratings: readonly string[];
  readonly grade: Grade | undefined;
}
