import type { Refused } from "~/components/field";
import type { Ladder, Place } from "~/core/ladder";
import type { MetreRegion, PassageRange, PassageTempo, PieceTempi } from "~/core/score";
import type { Bpm } from "~/core/units";
import type { PassageLine } from "~/features/shapes";
import type { KeptLadder } from "./kept";
import type { KnownRecord } from "./reckoning";
import type { LeftBehind } from "./starts";

export interface WorkshopPageProps {
  readonly studioId: string;
  readonly person: { readonly id: string; readonly name: string };
  readonly piece: {
    readonly id: string;
    readonly title: string;
    readonly bars: number;
    readonly metres: readonly MetreRegion[];
  };
  /** The tempi of the piece, where it has several. */
  readonly course: PieceTempi | null;
  /** What the passage takes from them. */
  readonly tempo: PassageTempo;
  readonly passage: PassageLine;
  readonly range: PassageRange;
  /** Its bars in the order in which they are played, where it has repeats. */
  readonly order: readonly number[];
  /** How hard its notes are, where they are known. */
  readonly hardness: number | null;
  readonly ladder: Ladder | null;
  readonly place: Place | null;
  readonly startToday: Bpm | null;
  /** What the next start goes by. */
  readonly left: LeftBehind;
  /** What is believed of this student on this passage; null before anything was played. */
  readonly record: KnownRecord | null;
  readonly flaws: readonly { readonly bar: number; readonly flawed: number }[];
  readonly bestGain: number | null;
  readonly concertInDays: number | null;
  /** Whether a first ladder asks for a bar before and after, once its top is passed. */
  readonly joins: boolean;
  readonly kept: readonly KeptLadder[];
  readonly refused: Refused | undefined;
}
