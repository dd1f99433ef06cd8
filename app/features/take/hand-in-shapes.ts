import type { Day } from "~/core/units";

/** An item of the week that asks for a take of this passage. */
export interface AsksForTake {
  readonly id: string;
  readonly title: string;
  readonly focus: string;
  readonly due: Day;
  /** Its day is over. */
  readonly late: boolean;
  /** When another take was handed in for it, which this one would replace. */
  readonly replaces: Date | undefined;
}

/** A take that was handed in, and what was said of it. */
export interface HandedIn {
  readonly id: string;
  readonly title: string;
  readonly line: string;
  /** After its day. */
  readonly late: boolean;
  readonly at: Date;
  readonly answer: "heard" | "again" | null;
  readonly rating: string;
  readonly comments: readonly {
    readonly id: string;
    readonly bar: number | null;
    readonly text: string;
    /** It was said aloud as well, or only so. */
    readonly spoken: boolean;
  }[];
}
