import {
  advance,
  mergeEvents,
  replay,
  type EventKind,
  type Payload,
  type SessionEvent,
  type SessionPlan,
  type StandState,
} from "~/core/session";
import { EventStore } from "./event-store";
import { Outbox, type Sending } from "./outbox";

interface LedgerOptions {
  readonly sessionId: string;
  readonly plan: SessionPlan;
  /** What the server had when the page was made. */
  readonly stored: readonly SessionEvent[];
  readonly url: string;
  readonly onChange: () => void;
}

/**
 * The events of one session in this browser. An event is on disk here before it is in the state
 * (and so before it is seen), and goes to the server in the background.
 */
export class Ledger {
  private turn: Promise<unknown> = Promise.resolve();
  private store: EventStore | undefined;
  private readonly outbox: Outbox;
  events: readonly SessionEvent[];
  state: StandState;
  sending: Sending = "sent";

  constructor(private readonly options: LedgerOptions) {
    this.events = options.stored;
    this.state = replay(options.plan, options.stored);
    this.outbox = new Outbox({
      url: options.url,
      onSending: (sending) => {
        if (sending === this.sending) return;
        this.sending = sending;
        options.onChange();
      },
      onConflict: (stored) => this.inTurn(() => this.adopt(stored)),
    });
  }

  /** Opens the store and takes in what was kept here before, sent or not. */
  open(): Promise<void> {
    return this.inTurn(async () => {
      this.store = await EventStore.open(this.options.sessionId);
      this.outbox.add(await this.adopt(this.options.stored));
    });
  }

  private async adopt(stored: readonly SessionEvent[]): Promise<readonly SessionEvent[]> {
    const { events, unsent } = mergeEvents(stored, (await this.store?.all()) ?? []);
    await this.store?.keep(unsent);
    this.events = events;
    this.state = replay(this.options.plan, events);
    this.options.onChange();
    return unsent;
  }

  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const result = this.turn.then(work);
    this.turn = result.catch(() => undefined);
    return result;
  }

  /** Writes an event; resolves with its id once it is on disk and counted. */
  append<K extends EventKind>(kind: K, payload: Payload<K>): Promise<string> {
    const at = Date.now();
    return this.inTurn(async () => {
      const id = crypto.randomUUID();
      // Kind and payload belong together by the signature; TypeScript can't pair them here.
      const event = { id, seq: this.events.length, at, kind, payload } as unknown as SessionEvent;
      await this.store?.keep([event]);
      this.state = advance(this.state, this.events, event);
      this.events = [...this.events, event];
      this.options.onChange();
      this.outbox.add([event]);
      return id;
    });
  }

  flushed(withinMs: number): Promise<boolean> {
    return this.outbox.flushed(withinMs);
  }

  dispose(): void {
    this.outbox.dispose();
    this.store?.close();
  }
}
