import type { SessionEvent, SessionPlan } from "~/core/session";

/** Before a loop that begins out of nothing. */
export const RESTART_SECONDS = 0.8;
/** A breather for whoever goes on in time and has given no verdict. */
export const PAUSE_SECONDS = 4;
export const NUDGE_BPM = 2;
/** A second press of the pedal within this time is a nervous foot. */
export const NERVOUS_MS = 800;

export interface RunnerOptions {
  readonly sessionId: string;
  readonly plan: SessionPlan;
  readonly stored: readonly SessionEvent[];
  readonly url: string;
  readonly volume: number;
}
