import * as v from "valibot";
import { sessionEventSchema, type SessionEvent } from "~/core/session";

const FIRST_RETRY_MS = 500;
const LONGEST_RETRY_MS = 10_000;
const TIMEOUT_MS = 8000;
const MOST_AT_ONCE = 200;

const takenSchema = v.object({ next: v.number() });
const storedSchema = v.object({ events: v.array(sessionEventSchema) });

/** How the sending goes: all there, on its way, or kept here until the server answers again. */
export type Sending = "sent" | "sending" | "kept";

interface OutboxOptions {
  readonly url: string;
  readonly onSending: (sending: Sending) => void;
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
    } catch {
      // Whatever went wrong, the events are kept here; the server may be back in a moment.
      this.options.onSending("kept");
      this.timer = setTimeout(() => void this.send(), this.retry);
      this.retry = Math.min(LONGEST_RETRY_MS, this.retry * 2);
    } finally {
      this.busy = false;
    }
  }

  private async sendBatch(batch: readonly SessionEvent[]): Promise<void> {
    const response = await fetch(this.options.url, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ events: batch }),
      signal: AbortSignal.any([AbortSignal.timeout(TIMEOUT_MS), this.disposal.signal]),
    });
    if (response.status === 409) return this.resolveConflict();
    if (!response.ok) throw new Error(`The server answered ${response.status}.`);
    v.parse(takenSchema, await response.json());
    const sent = new Set(batch.map(({ id }) => id));
    this.queue = this.queue.filter(({ id }) => !sent.has(id));
  }

  private async resolveConflict(): Promise<void> {
    const response = await fetch(this.options.url, { signal: this.disposal.signal });
    if (!response.ok) throw new Error(`The server answered ${response.status}.`);
    const { events } = v.parse(storedSchema, await response.json());
    this.queue = [...(await this.options.onConflict(events))];
  }

  dispose(): void {
    clearTimeout(this.timer);
    this.disposal.abort();
  }
}
