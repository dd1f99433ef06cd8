import type { SessionEvent, SessionPlan } from "~/core/session";

export interface RunnerOptions {
  readonly sessionId: string;
  readonly plan: SessionPlan;
  readonly stored: readonly SessionEvent[];
  readonly url: string;
  readonly volume: number;
}
