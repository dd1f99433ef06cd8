import type { StudentToChoose } from "~/components/choose-students";
import type { Refused } from "~/components/field";
import type { MovedLadder } from "~/core/ladder";
import type {
  BarDifficulty,
  BarMarks,
  MetreRegion,
  PaperLayout,
  PaperPage,
  Score,
  Stages,
  Tempi,
} from "~/core/score";
import type { BeatUnit, Day } from "~/core/units";
import type { MemoryLine } from "~/features/my-week/memory-lines";
import type { FlawDays } from "~/forms/flaw-days";
import type { PassageLine } from "~/features/shapes";

/** The notes of a piece, without the notes themselves. */
export interface PieceScore {
  readonly score: Score;
  readonly partId: string;
  readonly fileName: string;
}

/** Pages of paper with the bars drawn over them; none as yet where `layout` is empty. */
export interface PiecePaper {
  readonly layout: PaperLayout;
  /** The names of the files that they came from. */
  readonly files: readonly string[];
  readonly pages: readonly PaperPage[];
}

/** A piece on a student's stand, with what was practised of it. */
export interface PiecePageProps {
  readonly studioId: string;
  /** Who looks: a student marks how bars go, a parent only looks on. */
  readonly role: "teacher" | "student" | "parent";
  readonly person: { readonly id: string; readonly name: string };
  readonly piece: {
    readonly id: string;
    readonly title: string;
    readonly origin: string;
    readonly bars: number;
    readonly pickupBeats: number;
    readonly metres: readonly MetreRegion[];
    readonly markBpm: number;
    readonly markUnit: BeatUnit;
  };
  readonly tempi: Tempi;
  /** Ladders that its tempi would change since they moved. */
  readonly movedLadders: readonly MovedLadder[];
  /** The notes, where it has any. */
  readonly notation: PieceScore | undefined;
  /** Its pages on paper, where it has no notes. */
  readonly paper: PiecePaper | undefined;
  readonly passages: readonly PassageLine[];
  /** What was taken off the stand, and on which day. */
  readonly putAway: readonly (PassageLine & { readonly since: Day })[];
  /** How well bars go, as they were touched. */
  readonly marks: BarMarks;
  /** How hard each bar's notes are; empty without notes. */
  readonly profile: readonly BarDifficulty[];
  readonly today: Day;
  readonly concert: Day | null;
  readonly stages: Stages;
  readonly memory: MemoryLine | undefined;
  readonly flaws: Readonly<Record<number, number>>;
  /** The beats on which most of them fell, where they were told with one. */
  readonly flawBeats: readonly {
    readonly bar: number;
    readonly beat: number;
    readonly flawed: number;
  }[];
  /** Over how many days they are counted. */
  readonly flawDays: FlawDays;
  /** Bars that the edition just laid out numbers otherwise. */
  readonly renumbered: readonly {
    readonly bar: number;
    readonly was: string;
    readonly is: string;
  }[];
  /** Other students of the room. */
  readonly others: readonly StudentToChoose[];
  readonly given: number | undefined;
  /** The name under which it was kept in the library just now. */
  readonly kept: string | undefined;
  readonly refused: Refused | undefined;
}
