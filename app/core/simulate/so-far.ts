import type { AdviceFacts } from "~/core/judge";
import type { Ladder } from "~/core/ladder";
import type { Level } from "~/core/record";
import type { BlockSummary } from "~/core/session";

type PracticeDay = AdviceFacts["passages"][number]["days"][number];

/** A course as it stands in the morning. */
export interface SoFar {
  readonly ladder: Ladder;
  /** What is believed in the morning. */
  readonly level: Level;
  /** Days of practice so far. */
  readonly days: readonly PracticeDay[];
  /** The fastest tempo that was passed. */
  readonly passed: number | undefined;
  readonly plays: number;
  readonly minutes: number;
  readonly ended: BlockSummary | undefined;
}
