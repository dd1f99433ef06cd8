import { tempoAt } from "~/core/ladder";
import type { AlongSources } from "./along-sources";
import type { Block, SessionEvent, SessionPlan } from "~/core/session";

/** Before a loop that begins out of nothing. */
export const RESTART_SECONDS = 0.8;
/** A breather for whoever goes on in time and has given no verdict. */
export const PAUSE_SECONDS = 4;
const NUDGE = 2;

/** What one press of slower or faster changes: bpm, or percent of a full tempo. */
export const nudgeOf = ({ ladder: { of } }: Pick<Block, "ladder">): number =>
  of === null ? NUDGE : tempoAt(of, NUDGE);
/** A second press of the pedal within this time is a nervous foot. */
export const NERVOUS_MS = 800;

export interface RunnerOptions {
  readonly sessionId: string;
  readonly plan: SessionPlan;
  readonly stored: readonly SessionEvent[];
  readonly url: string;
  readonly volume: number;
  /** Demonstrations to play along with, and where their sound is. */
  readonly along: AlongSources;
  readonly alongAddress: (id: string) => string;
}
