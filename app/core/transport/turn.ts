import {
  advance,
  currentBlock,
  type EventKind,
  type Payload,
  type SessionEvent,
} from "~/core/session";
import { assert } from "~/core/result";
import type { Effect } from "./effect";
import type { Moment } from "./input";
import type { Transport, TransportState } from "./state";

/** With these something else is played: what was tried is over. */
const LEAVES_TRYING: ReadonlySet<EventKind> = new Set([
  ...(["moved-on", "part-ended", "end-well-began", "ended", "redrawn", "firmed"] as const),
  ...(["repeated", "skipped", "lowered", "narrowed", "tempo-set"] as const),
]);

/** One input as it is dealt with: the state as it changes, and what is to be done outside. */
export class Turn {
  readonly effects: Effect[] = [];
  private written = 0;

  constructor(
    public state: TransportState,
    private readonly moment: Moment,
  ) {}

  get stand() {
    return this.state.stand;
  }

  /** What is played now, with its plan. */
  get block() {
    return currentBlock(this.state.stand);
  }

  /** Milliseconds since 1970. */
  get at(): number {
    return this.moment.at;
  }

  /** Seconds of the sound's clock. */
  get clock(): number {
    return this.moment.clock;
  }

  set(change: Partial<TransportState>): void {
    this.state = { ...this.state, ...change };
  }

  go(transport: Transport): void {
    this.set({ transport });
  }

  do(effect: Effect): void {
    this.effects.push(effect);
  }

  /** Writes an event, and tells its id; what follows is decided on the state after it. */
  write<K extends EventKind>(kind: K, payload: Payload<K>): string {
    const id = this.moment.ids[this.written++];
    assert(id !== undefined, "More events come of one input than there are ids.");
    const { stand, events } = this.state;
    // Kind and payload belong together by the signature; TypeScript can't pair them here.
    const made = { id, seq: events.length, at: this.at, kind, payload };
    const event = made as unknown as SessionEvent;
    this.set({ stand: advance(stand, events, event), events: [...events, event] });
    if (LEAVES_TRYING.has(kind)) this.set({ trying: undefined });
    this.do({ kind: "write", event });
    return id;
  }
}
