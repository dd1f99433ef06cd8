import type { Day } from "~/core/units";

/** A take as lists show it. */
export interface TakeOfList {
  readonly id: string;
  readonly at: Date;
  readonly tempo: number;
  readonly seconds: number;
  readonly fromBar: number;
  readonly toBar: number;
  readonly keptUntil: Day;
}
