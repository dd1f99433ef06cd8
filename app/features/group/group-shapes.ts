import type { BeatUnit } from "~/core/units";

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
