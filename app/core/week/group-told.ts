import type { Day } from "../units";
import type { GroupItem } from "./group-item";

/** What a group is set. */
export interface GroupItemTold {
  readonly id: string;
  readonly asked: GroupItem;
  readonly until: Day;
}

/** Where a member stands with an item. */
export interface MemberItem {
  readonly itemId: string;
  readonly state:
    "left-out" | "open" | "missing" | "waiting" | "heard" | "again" | "practised" | "not-practised";
  readonly leftOut: "by-you" | "hurt" | "full" | null;
  /** Theirs had been changed when the item was: they kept it. */
  readonly keptTheirs: boolean;
  readonly late: boolean;
  readonly rating: string;
  readonly takeId: string | null;
  readonly minutes: number;
}

export interface MemberLine {
  readonly id: string;
  readonly name: string;
  readonly instrument: string;
  readonly days: readonly { readonly day: Day; readonly minutes: number }[];
  readonly minutes: number;
  readonly hurt: boolean;
  /** What their week asks is more than the minutes that they have. */
  readonly tooMuch:
    | {
        readonly asked: number;
        readonly there: number;
        /** Titles of the items that fall out on some days. */
        readonly falls: readonly string[];
      }
    | undefined;
  readonly items: readonly MemberItem[];
}
