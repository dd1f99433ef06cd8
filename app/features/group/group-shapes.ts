import type { BeatUnit, Day } from "~/core/units";
import type { GroupItem } from "~/core/week";

export interface Student {
  readonly id: string;
  readonly name: string;
  readonly instrument: string;
}

export interface GroupPiece {
  readonly id: string;
  readonly title: string;
  readonly bars: number;
  /** How many of the group have it on their stand. */
  readonly played: number;
  readonly mark: { readonly bpm: number; readonly unit: BeatUnit };
}

export interface ItemTold {
  readonly id: string;
  readonly asked: GroupItem;
  readonly until: Day;
}

export interface MemberItemTold {
  readonly itemId: string;
  readonly state:
    "left-out" | "open" | "missing" | "waiting" | "heard" | "again" | "practised" | "not-practised";
  readonly leftOut: "by-you" | "hurt" | "full" | null;
  readonly keptTheirs: boolean;
  readonly late: boolean;
  readonly rating: string;
  readonly takeId: string | null;
  readonly minutes: number;
}

export interface MemberLineTold {
  readonly id: string;
  readonly name: string;
  readonly instrument: string;
  readonly days: readonly { readonly day: Day; readonly minutes: number }[];
  readonly minutes: number;
  readonly hurt: boolean;
  readonly tooMuch: { readonly asked: number; readonly there: number } | undefined;
  readonly items: readonly MemberItemTold[];
}
