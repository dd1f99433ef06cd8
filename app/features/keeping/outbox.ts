import * as v from "valibot";
import { sessionEventSchema, type SessionEvent } from "~/core/session";
import { noteArrival } from "./arrived";

const FIRST_RETRY_MS = 500;
const LONGEST_RETRY_MS = 10_000;
const TIMEOUT_MS = 8000;
const MOST_AT_ONCE = 200;

const takenSchema = v.object({ next: v.number() });
const storedSchema = v.object({ events: v.array(sessionEventSchema) });

/**
 * How the sending goes: all there, on its way, kept here until the server answers again, or kept
 * until somebody signs in again.
 */
export type Sending = "sent" | "sending" | "kept" | "signed-out";

/** The server does not know who is asking any more. */
class SignedOut extends Error {}

interface OutboxOptions {
  readonly url: string;
  readonly onSending: (sending: Sending) => void;
  /** The server has them now. */
  readonly onSent?: (events: readonly SessionEvent[]) => void;
  /** The server has events that we don't: it gives back all unsent ones with new positions. */
  readonly onConflict: (stored: SessionEvent[]) => Promise<readonly SessionEvent[]>;
}

/** Sends events in order, again and again until they are acknowledged. */
export class Outbox {
  private queue: SessionEvent[] = [];
  private busy = false;
  private retry = FIRST_RETRY_MS;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly disposal = new AbortController();

  constructor(private readonly options: OutboxOptions) {
    window.addEventListener("online", () => this.sendNow(), { signal: this.disposal.signal });
  }

  get empty(): boolean {
    return this.queue.length === 0;
  }

  add(events: readonly SessionEvent[]): void {
    this.queue.push(...events);
    void this.send();
  }

  private sendNow(): void {
    this.retry = FIRST_RETRY_MS;
    void this.send();
  }

  /** Waits until everything is there, at most so long; tells whether it is. */
  async flushed(withinMs: number): Promise<boolean> {
    this.sendNow();
    const until = Date.now() + withinMs;
    while (!this.empty && Date.now() < until) await new Promise((done) => setTimeout(done, 50));
    return this.empty;
  }

  private async send(): Promise<void> {
    if (this.busy || this.disposal.signal.aborted) return;
    clearTimeout(this.timer);
    this.busy = true;
    try {
      while (!this.empty && !this.disposal.signal.aborted) {
        this.options.onSending("sending");
        await this.sendBatch(this.queue.slice(0, MOST_AT_ONCE));
      }
      this.retry = FIRST_RETRY_MS;
      this.options.onSending("sent");
    } catch (error) {
      // Whatever went wrong, the events are kept here; the server may be back in a moment.
      this.options.onSending(error instanceof SignedOut ? "signed-out" : "kept");
      this.timer = setTimeout(() => void this.send(), this.retry);
      this.retry = Math.min(LONGEST_RETRY_MS, this.retry * 2);
    } finally {
      this.busy = false;
    }
  }

  private async sendBatch(batch: readonly SessionEvent[]): Promise<void> {
    const response = await this.ask({
      method: "POST",
      headers: { "Content-Type": "application/json" },
      // With this device's clock, so that a wrong one is seen through.
      body: JSON.stringify({ events: batch, sentAt: Date.now() }),
    });
    if (response.status === 409) return this.resolveConflict();
    if (!response.ok) throw new Error(`The server answered ${response.status}.`);
    v.parse(takenSchema, await response.json());
    noteArrival();
    const sent = new Set(batch.map(({ id }) => id));
    this.queue = this.queue.filter(({ id }) => !sent.has(id));
    this.options.onSent?.(batch);
  }

  /** One question, within its time; whoever is led to the door is signed out. */
  private async ask(question: RequestInit): Promise<Response> {
    const signal = AbortSignal.any([AbortSignal.timeout(TIMEOUT_MS), this.disposal.signal]);
    const response = await fetch(this.options.url, { ...question, signal });
    if (response.redirected || response.status === 401) throw new SignedOut();
    return response;
  }

  private async resolveConflict(): Promise<void> {
    const response = await this.ask({});
    if (!response.ok) throw new Error(`The server answered ${response.status}.`);
    const { events } = v.parse(storedSchema, await response.json());
    this.options.onSent?.(events);
    this.queue = [...(await this.options.onConflict(events))];
  }

  dispose(): void {
    clearTimeout(this.timer);
    this.disposal.abort();
  }
}
