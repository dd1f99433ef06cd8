import type { BeatMap, LoopRequest } from "~/core/click";
import type { Segment } from "~/core/ladder";
import {
  replay,
  standTrying,
  type Try,
  type Heard,
  type SessionEvent,
  type SessionPlan,
  type StandState,
} from "~/core/session";

/** What is going on at this moment. `asking`: the breather is over and the verdict is missing. */
export type Transport = "stopped" | "count-in" | "play" | "breather" | "asking" | "resting";

/** A loop that was sent ahead. */
export interface Loop extends Heard {
  /** From 1, in the order in which they were sent. */
  readonly id: number;
  readonly request: LoopRequest;
  readonly map: BeatMap;
  readonly segment: Pick<Segment, "fromBar" | "toBar">;
  /** When it begins and ends, in seconds of the sound's clock; it may be cut before its map ends. */
  readonly start: number;
  readonly ends: number;
  /** It was just tried, and counts for nothing. */
  readonly tried: boolean;
}

/** The session as it sounds: what is tried instead, where something is. */
export const soundingStand = ({
  stand,
  trying,
}: Pick<TransportState, "stand" | "trying">): StandState =>
  trying && stand.endingWell === undefined ? standTrying(stand, trying) : stand;

/** Everything that decides what the next input does. */
export interface TransportState {
  /** The session after all its events, on disk or on their way there. */
  readonly stand: StandState;
  readonly events: readonly SessionEvent[];
  readonly transport: Transport;
  /** What was kept on this device before is taken in. */
  readonly ready: boolean;
  /** `opening`: a press has asked for sound, which begins as soon as it is there. */
  readonly sound: "closed" | "opening" | "open" | "failed";
  /** Only the count-in sounds: the play is recorded without its click. */
  readonly quiet: boolean;
  /** Clean was pressed before the last bar was over; it counts when the play has ended. */
  readonly early: boolean;
  /** The last passage is being left after a flawed play: a slow correct one is offered first. */
  readonly leaving: boolean;
  /** The notes are hidden, and nobody has looked since the last play. */
  readonly fromMemory: boolean;
  /** When a verdict was pressed last, in milliseconds since 1970. */
  readonly judgedAt: number;
  /** When it was gone on to another part last, or asked to. */
  readonly movedAt: number;
  /** What is just tried: plays count for nothing until it is over. */
  readonly trying: Try | undefined;
  readonly heard: Loop | undefined;
  /** It follows the one that is heard. */
  readonly next: Loop | undefined;
  /** The loop that was heard last; one that is withdrawn changes nothing for the ear. */
  readonly last: Heard | undefined;
  /** How many loops were sent. */
  readonly sent: number;
}

/** The stand as the server knows it, before this device has told what it kept. */
export const closedTransport = (
  plan: SessionPlan,
  events: readonly SessionEvent[],
): TransportState => ({
  stand: replay(plan, events),
  events,
  transport: "stopped",
  ready: false,
  sound: "closed",
  quiet: false,
  early: false,
  leaving: false,
  fromMemory: false,
  trying: undefined,
  judgedAt: 0,
  movedAt: 0,
  heard: undefined,
  next: undefined,
  last: undefined,
  sent: 0,
});
