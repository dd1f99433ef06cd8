import type { PassageNotes } from "~/core/score";

/** The notes of a passage at the stand. */
export interface PassageMusic {
  /** Where its engraved notes are had. */
  readonly address: string;
  /** The printed number of each bar, by position. */
  readonly labels: Readonly<Record<number, string>>;
  /** The images that they are cut from, where they are on paper. */
  readonly images: readonly string[];
  /** Which of them are played: the others stand back. */
  readonly only: PassageNotes;
}

/** By passage; those without notes are not in it. */
export type StandMusic = Readonly<Record<string, PassageMusic>>;
