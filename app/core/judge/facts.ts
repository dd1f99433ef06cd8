import type { Ladder, Tally } from "~/core/ladder";
import type { Span } from "~/core/record";
import type { Day } from "~/core/units";

/** A passage on a day on which it was played. */
export interface PracticeDay {
  readonly day: Day;
  /** The fastest tempo passed; undefined where none was. */
  readonly reached: number | undefined;
  /** Judged plays of the whole, from the slowest tempo up. */
  readonly tempi: readonly Tally[];
  /** Plays at which tension was noted. */
  readonly tense: number;
}

/** What the rules look at of a passage, as of today. */
export interface PassageFacts {
  readonly id: string;
  readonly pieceId: string;
  readonly fromBar: number;
  readonly toBar: number;
  readonly ladder: Ladder;
  readonly target: number;
  /** Where today would start, in bpm. */
  readonly start: number;
  /**
   * Of the first rung of today: its tempo in bpm, the seconds of one play among others, and of the
   * playing in it; undefined where the player has set what lies between two plays.
   */
  readonly lasts:
    { readonly tempo: number; readonly all: number; readonly playing: number } | undefined;
  readonly comfortable: Span;
  /** Where every other play breaks; undefined while nothing near it was tried. */
  readonly ceiling: number | undefined;
  /** Where it is advised to start. */
  readonly advised: number;
  readonly safe: boolean;
  /** Days of practice, the oldest first; never empty. */
  readonly days: readonly PracticeDay[];
  readonly daysOff: number;
  /** Days on which the target was passed. */
  readonly daysAtTarget: number;
  /** Days on which the part that the ladder is for was passed at the target. */
  readonly partAtTarget: number;
  readonly flaws: readonly { readonly bar: number; readonly flawed: number }[];
  /** The chance to stand at the concert, and the highest target that would hold two times in three. */
  readonly concert:
    { readonly day: Day; readonly chance: number; readonly honest: number | undefined } | undefined;
}

/** A sitting, as far as breaks go. */
export interface SittingFacts {
  readonly day: Day;
  /** Minutes of the longest stretch without a break. */
  readonly unbroken: number;
}

/** How a player's ear in listening back compares with the verdicts at the stand. */
export interface Ear {
  /** Takes listened to that had a verdict at the stand, of the latest. */
  readonly listened: number;
  /** Clean at the stand, a flaw heard in it afterwards. */
  readonly kind: number;
  /** Flawed at the stand, none heard in it. */
  readonly hard: number;
}

/** Everything that is known of a student, as of today. */
export interface StudentFacts {
  readonly today: Day;
  readonly passages: readonly PassageFacts[];
  /** The latest sitting, if there was one. */
  readonly lastSitting: SittingFacts | undefined;
  readonly ear: Ear;
}

export const totals = (tempi: readonly Tally[]) => ({
  plays: tempi.reduce((sum, { plays }) => sum + plays, 0),
  clean: tempi.reduce((sum, { clean }) => sum + clean, 0),
});

export const lastDayOf = ({ days }: Pick<PassageFacts, "days">): PracticeDay => days.at(-1)!;
