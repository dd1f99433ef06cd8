import { sessionEventSchema, type SessionEvent } from "~/core/session";
import * as v from "valibot";

const batchSchema = v.object({ events: v.array(v.unknown()), sentAt: v.number() });

/**
 * A server that takes events as ours does: in order, without gaps, each once; what it can't read it
 * refuses. It can be away, slow, or not know who is asking.
 */
export class ServerStub {
  readonly stored = new Map<string, SessionEvent[]>();
  /** What each request brought, by the ids of its events. */
  readonly batches: string[][] = [];
  state: "there" | "away" | "signed-out" = "there";
  /** Sessions of somebody else. */
  readonly others = new Set<string>();
  /** It takes a batch, and the answer is lost. */
  losesAnswers = 0;

  constructor() {
    globalThis.fetch = (url, init) => this.asked(new URL(url as string, "http://here"), init ?? {});
  }

  eventsOf(session: string): SessionEvent[] {
    const events = this.stored.get(session) ?? [];
    this.stored.set(session, events);
    return events;
  }

  private asked(url: URL, { method = "GET", body }: RequestInit): Promise<Response> {
    if (this.state === "away") return Promise.reject(new TypeError("fetch failed"));
    if (this.state === "signed-out") return Promise.resolve(new Response("", { status: 401 }));
    const session = url.pathname.split("/")[2]!;
    if (this.others.has(session)) return Promise.resolve(new Response("", { status: 404 }));
    const events = this.eventsOf(session);
    const answer =
      method === "GET" ? Response.json({ events }) : this.takes(events, body as string);
    if (method === "POST" && this.losesAnswers > 0) {
      this.losesAnswers--;
      return Promise.reject(new TypeError("The answer was lost."));
    }
    return Promise.resolve(answer);
  }

  private takes(stored: SessionEvent[], body: string): Response {
    const read = v.parse(batchSchema, JSON.parse(body));
    this.batches.push(read.events.map((each) => (each as SessionEvent).id));
    const events = v.safeParse(v.array(sessionEventSchema), read.events);
    if (!events.success) return Response.json({ sentence: "It can't be read." }, { status: 400 });
    const fresh = events.output.filter(({ id }) => !stored.some((each) => each.id === id));
    const fits = fresh.every(({ seq }, n) => seq === stored.length + n);
    if (!fits) return Response.json({ next: stored.length }, { status: 409 });
    stored.push(...fresh);
    return Response.json({ next: stored.length });
  }
}

/** The parts of a browser's window that keeping needs. */
export function browserStub(): EventTarget {
  const window = new EventTarget();
  Object.assign(globalThis, { window, navigator: {} });
  return window;
}

/** Waits until something holds; fails where it doesn't within two seconds. */
export async function until(holds: () => boolean | Promise<boolean>): Promise<void> {
  for (let n = 0; n < 200; n++) {
    if (await holds()) return;
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
  throw new Error("It never held.");
}
