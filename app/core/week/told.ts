import type { Block } from "~/core/session";
import type { BeatUnit, Day } from "~/core/units";
import type { AssignmentItem, AssignmentText } from "./assignment";
import type { Asked, WentItem } from "./item-days";
import type { LayoutNote } from "./layout";

/** An item with the passage that it is about. */
interface PlacedItem extends AssignmentItem {
  readonly bars: { readonly from: number; readonly to: number } | null;
  readonly beatUnit: BeatUnit | null;
  /** Where keys go round: this week's. */
  readonly key: string | undefined;
}

export interface WeekItem extends PlacedItem {
  /** The day on which its goal was passed: later ones ask nothing more of it. */
  readonly reachedOn: Day | undefined;
  /** Minutes by day on which it was practised, and whether that was what it should have. */
  readonly practised: readonly {
    readonly day: Day;
    readonly minutes: number;
    readonly done: boolean;
  }[];
}

export interface WeekDay {
  readonly day: Day;
  /** Minutes that there are. */
  readonly minutes: number;
  readonly times: readonly { readonly from: string; readonly minutes: number }[];
  /** What that morning asked, with what came of it. */
  readonly asked: readonly WentItem[];
  readonly played: number;
  /** Of these written by hand for none of the items. */
  readonly besides: readonly Written[];
}

/** Practice that was written by hand, and what it was, where somebody has said so. */
export interface Written {
  readonly minutes: number;
  readonly note: string;
}

/** A week as it is laid out from today on, with what has happened in it. */
export interface StudentWeek {
  readonly id: string | null;
  readonly from: Day;
  readonly until: Day;
  readonly text: AssignmentText;
  /** The sum of what its days ask. */
  readonly asked: Asked;
  readonly items: readonly WeekItem[];
  readonly days: readonly WeekDay[];
  readonly notes: readonly LayoutNote[];
  readonly played: { readonly minutes: number; readonly days: number };
}

/** An item on the printed sheet. */
export interface SheetItem extends PlacedItem {
  readonly gate: Block["ladder"]["gate"] | null;
  /** The tempi of the ladder from this week's start, each once in its order. */
  readonly tempi: readonly number[];
  readonly target: number | null;
  /** Minutes asked by day of the week, 0 where it rests. */
  readonly asked: readonly number[];
  readonly doneOn: readonly Day[];
}

/** What came of one item between two lessons; every figure from the log. */
/** The first tempo of some days, and the fastest that was passed; worked at, where none was. */
export interface TempoTold {
  readonly from: number;
  readonly to: number;
  readonly passed: boolean;
}

/** Where a passage stands: a tempo passed, one worked at, or where its ladder starts. */
export interface StandsAt {
  readonly how: "passed" | "worked-at" | "starts";
  readonly tempo: number;
}

export interface ReviewedItem extends AssignmentItem {
  /** Days that asked for it, and on how many it was done. */
  readonly asked: number;
  readonly doneOn: number;
  /** Minutes in all, and on how many days. */
  readonly done: number;
  readonly days: number;
  readonly tempo: TempoTold | undefined;
  readonly clean: { readonly clean: number; readonly plays: number } | undefined;
  /** How evenly it lay against its beats on its last day, in milliseconds, where that was measured. */
  readonly even?: number | undefined;
  readonly flawedBars: readonly { readonly bar: number; readonly flawed: number }[];
  /** Where it stands, where the tempo to aim at next lies below the one that was asked. */
  readonly lowered: StandsAt | undefined;
  /** A higher tempo than it was asked to, which its record would allow. */
  readonly raise: number | undefined;
  /** What its record suggests. */
  readonly suggested: "finished" | "carried";
  /** The item as it would go on, with its next numbers; undefined when its passage was put away. */
  readonly next: AssignmentItem | undefined;
}

/** What has become of the take that an item asks for. */
export interface TakeAsked {
  readonly due: Day;
  readonly state: "open" | "missing" | "waiting" | "heard" | "again";
  /** It came after its day. */
  readonly late: boolean;
  readonly rating: string;
  readonly takeId: string | null;
}

/** An item that this morning asked for, as far as it has come. */
export interface AskedItem {
  readonly itemId: string;
  readonly passageId: string | null;
  readonly title: string;
  readonly minutes: number;
  readonly practised: number;
  readonly done: boolean;
  /** The player has said that it is enough for today. */
  readonly enough: boolean;
}
