import type { TransportState } from "~/core/transport";
import type { Sending } from "~/features/keeping/outbox";
import type { StandState } from "~/core/session";

/** The stand as it is drawn. */
export interface StandView extends TransportState {
  /** The session; the same as `stand`. */
  readonly state: StandState;
  readonly sending: Sending;
  /** Whether this device keeps what is played until it has arrived. */
  readonly keeps: boolean;
}
