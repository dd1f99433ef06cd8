import { mergeEvents, type SessionEvent } from "~/core/session";
import { EventStore } from "~/features/keeping/event-store";
import { Outbox, type Sending } from "~/features/keeping/outbox";
import { Mark } from "./mark";
import { Turn } from "./turn";

interface LedgerOptions {
  readonly sessionId: string;
  /** What the server had when the page was made. */
  readonly stored: readonly SessionEvent[];
  readonly url: string;
  /** They are others than were appended: what was kept here before, or what the server had more. */
  readonly onEvents: (events: readonly SessionEvent[]) => void;
  /** How the sending goes, or what this device keeps, has changed. */
  readonly onChange: () => void;
}

/**
 * The events of one session in this browser. An event is on disk here before it is seen, and goes to
 * the server in the background. Where the browser keeps nothing, it is held in memory and sent at
 * once, and `keeps` says so.
 */
export class Ledger {
  private turn: Promise<unknown> = Promise.resolve();
  private store: EventStore | undefined;
  private readonly outbox: Outbox;
  private events: readonly SessionEvent[];
  sending: Sending = "sent";
  /** Whether this device keeps what is played. */
  keeps = true;
  private disposed = false;
  /** Whether something is to be written and is not on disk yet. */
  readonly writing = new Mark(false);
  private unwritten = 0;
  /** In this browser one window at a time writes a session; the next waits for its last event. */
  private readonly window: Turn;

  constructor(private readonly options: LedgerOptions) {
    this.events = options.stored;
    this.window = new Turn(`fidus-writing-${options.sessionId}`);
    this.outbox = new Outbox({
      url: options.url,
      onSent: (events) => void this.store?.acknowledged(events).catch(() => this.keepsNothing()),
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
      await this.window.begin();
      const { sessionId, url } = this.options;
      try {
        await this.keepIn(
          await EventStore.open(
            sessionId,
            url,
            (late) => void this.inTurn(() => this.keepIn(late)),
          ),
        );
      } catch {
        this.keepsNothing();
        this.outbox.add(await this.adopt(this.options.stored));
      }
    });
  }

  /** From now on this store keeps what is played, and what was played before it opened. */
  private async keepIn(store: EventStore): Promise<void> {
    if (this.disposed) return store.close();
    this.store = store;
    this.keeps = true;
    void store.forgetOthers().catch(() => undefined);
    this.outbox.add(await this.adopt(this.options.stored));
  }

  private keepsNothing(): void {
    if (!this.keeps) return;
    this.keeps = false;
    this.options.onChange();
  }

  /** Writes to disk what has to be there before it counts; a device that refuses is told. */
  private async keep(events: readonly SessionEvent[]): Promise<void> {
    try {
      await this.store?.keep(events);
    } catch {
      this.keepsNothing();
    }
  }

  private async adopt(stored: readonly SessionEvent[]): Promise<readonly SessionEvent[]> {
    const kept = await this.store?.all().catch(() => undefined);
    // What is only in memory is not in the store, and must not be forgotten for that.
    const here = [...this.events, ...(kept ?? [])];
    const { events, unsent } = mergeEvents(stored, [
      ...new Map(here.map((each) => [each.id, each])).values(),
    ]);
    // Told before anything else is waited for: what is appended from here on comes behind them.
    this.events = events;
    this.options.onEvents(events);
    await this.keep(unsent);
    return unsent;
  }

  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const result = this.turn.then(work);
    this.turn = result.catch(() => undefined);
    return result;
  }

  /** Takes an event in; it is on disk, and on its way to the server, once `written` resolves. */
  append(event: SessionEvent): void {
    this.events = [...this.events, event];
    this.unwritten++;
    this.writing.set(true);
    void this.inTurn(async () => {
      // The server may have had more meanwhile: then this one has moved behind them.
      const placed = this.events.find(({ id }) => id === event.id) ?? event;
      await this.keep([placed]);
      this.outbox.add([placed]);
    }).finally(() => this.writing.set(--this.unwritten > 0));
  }

  /** Whether anything is not on disk yet. */
  get behind(): boolean {
    return this.unwritten > 0;
  }

  /** Resolves when everything that was appended until now is on disk. */
  async written(): Promise<void> {
    await this.turn;
  }

  flushed(withinMs: number): Promise<boolean> {
    return this.outbox.flushed(withinMs);
  }

  dispose(): void {
    this.disposed = true;
    // What is being written is written to its end, and only then is it another window's turn.
    void this.turn.finally(() => {
      this.outbox.dispose();
      this.store?.close();
      this.window.end();
    });
  }
}
