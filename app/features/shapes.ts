import type { SchoolName } from "~/core/ladder";
import type { PassageState } from "~/core/score";
import type { BlockKind, Feeling, KeptPace, Rated, Rating } from "~/core/session";
import type { BeatUnit, Bpm, Day } from "~/core/units";

/** A passage as lists and ribbons show it. */
export interface PassageLine {
  readonly id: string;
  readonly pieceId: string;
  readonly title: string;
  readonly name: string;
  readonly focus: string;
  /** It is played with the repeats that lie in it. */
  readonly withRepeats: boolean;
  /** The schools of its ladder, in their order. */
  readonly schools: readonly SchoolName[];
  readonly fromBar: number;
  readonly toBar: number;
  readonly beatUnit: BeatUnit;
  readonly state: PassageState;
  readonly stateSet: PassageState | null;
  /** The key in which this week asks for it: its tempi are told in it. */
  readonly inKey: string | null;
  readonly comfortable: number | null;
  readonly ceiling: number | null;
  /** Count-in and breather as the player set them at the stand. */
  readonly pace: KeptPace | null;
  readonly ended: number | null;
  readonly reached: number | null;
  readonly target: Bpm | null;
  /** The tempo that can be reached in a week. */
  readonly inAWeek: number | null;
  readonly minutes: number | null;
  readonly start: number | null;
  /** The fastest tempo passed, where a start by the date lies above it. */
  readonly startsAbove: number | null;
  readonly lastDay: Day | null;
  /** It was given from another student's; whether its ladder was changed since. */
  readonly given: { readonly changed: boolean } | null;
}

export interface LogBlock {
  readonly passageId: string;
  readonly title: string;
  readonly name: string;
  readonly fromBar: number;
  readonly toBar: number;
  readonly beatUnit: BeatUnit;
  readonly start: number;
  readonly end: number;
  readonly reached: number | null;
  readonly plays: number;
  readonly clean: number;
  readonly minutes: number;
  /** The fastest tempo by the clock, where it went by it. */
  readonly byClock: number | null;
}

/** A session as the log tells it. */
export interface LogEntry {
  readonly session_id: string;
  readonly day: Day;
  readonly ended: string | null;
  readonly notes: readonly string[];
  readonly questions: readonly string[];
  readonly ratings: Readonly<Partial<Record<Rating, Rated>>>;
  readonly feeling: Feeling | null;
  readonly tasks: readonly { readonly kind: BlockKind; readonly seconds: number }[];
  readonly blocks: readonly LogBlock[];
}

/** A passage on one day: what was reached, what is estimated, what was played. */
/** How evenly a passage lay against its beats, in milliseconds. */
export interface Evenness {
  readonly passage_id: string;
  readonly spread: number;
  /** Below 0 early, above 0 late; null where it was not told. */
  readonly bias: number | null;
}

export interface PassageDay {
  readonly day: Day;
  readonly reached_tempo: number | null;
  readonly comfortable: number;
  readonly comfortable_low: number;
  /** How evenly it lay against its beats, in milliseconds, where that was measured. */
  readonly spread?: number | undefined;
  readonly comfortable_high: number;
  /** Null while nothing near it was tried. */
  readonly ceiling: number | null;
  readonly plays: number;
  readonly clean: number;
  readonly minutes: number;
}
