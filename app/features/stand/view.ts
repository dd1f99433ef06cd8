import type { TransportState } from "~/core/transport";
import type { Sending } from "~/features/keeping/outbox";

/** The stand as it is drawn. */
export interface StandView extends TransportState {
  readonly sending: Sending;
  /** Whether this device keeps what is played until it has arrived. */
  readonly keeps: boolean;
}
