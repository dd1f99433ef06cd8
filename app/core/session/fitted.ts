import type { ChosenFor, LeftFor } from "./candidate";
import type { BlockKind, MinutesSpan } from "./shape";

export const FEELINGS = ["fine", "tight", "tired", "painful"] as const;
export type Feeling = (typeof FEELINGS)[number];

/** Why a block is there and as long as it is. */
export type BlockReason =
  | ChosenFor
  | { readonly why: "always" | "must-do" | "shape" | "ends-well" | "own" | "silent" }
  | { readonly why: "break"; readonly after: number }
  | { readonly why: "gentler"; readonly feeling: Feeling };

export interface FittedBlock {
  /** Stable while the same things are fitted: the kind, or the passage. */
  readonly id: string;
  readonly kind: BlockKind;
  readonly passageId: string | undefined;
  /** The item of the week that a task belongs to. */
  readonly itemId?: string | undefined;
  readonly text: string;
  readonly minutes: number;
  readonly span: MinutesSpan;
  readonly reason: BlockReason;
}

export interface LeftOut {
  readonly kind: BlockKind;
  readonly passageId: string | undefined;
  /** A task that the week asks. */
  readonly itemId?: string | undefined;
  readonly text?: string;
  readonly reason: LeftFor;
}

export interface FittedSession {
  readonly blocks: readonly FittedBlock[];
  readonly leftOut: readonly LeftOut[];
  /** Minutes of all blocks, breaks included. */
  readonly minutes: number;
  /** Minutes that are left because everything is as long as it should be at most. */
  readonly spare: number;
}
