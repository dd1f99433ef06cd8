import { mergeEvents } from "~/core/session";
import * as v from "valibot";
import { EventStore, waitingSessions, type UnreadEvent, type WaitingSession } from "./event-store";
import { Outbox, type Sending } from "./outbox";

/** How much of what was played lies only here, and how the sending goes. */
export interface Waiting {
  readonly plays: number;
  /** Everything that waits: plays, verdicts, notes. */
  readonly events: number;
  /** Sessions of others who have used this device, which wait for them. */
  readonly others: readonly string[];
  readonly sending: Sending;
  /** Recordings that wait as well, and those of others who have used this device. */
  readonly takes: number;
  readonly otherTakes: readonly string[];
  /** So much of it has arrived just now: what a page shows may be older than that. */
  readonly arrived: number;
}

const playsIn = (waiting: readonly WaitingSession[]): number =>
  waiting.flatMap(({ events }) => events).filter(({ kind }) => kind === "played").length;

const eventsIn = (waiting: readonly WaitingSession[]): number =>
  waiting.reduce((sum, { events, unread }) => sum + events.length + unread.length, 0);

/** Sends what waits of one session; resolves when all of it is there, or can't be for now. */
async function sendOne(
  { session, url, events, unread }: WaitingSession,
  withinMs: number,
): Promise<Sending | "not-ours"> {
  const asked = await fetch(url, { signal: AbortSignal.timeout(withinMs) });
  // Somebody else's who has used this device: it waits for them.
  if (asked.status === 403 || asked.status === 404) return "not-ours";
  const store = await EventStore.open(session, url);
  let sending: Sending = "sending";
  const outbox = new Outbox({
    url,
    onSending: (now) => (sending = now),
    onSent: (sent) => void store.acknowledged(sent),
    onConflict: async (stored) => {
      const { unsent } = mergeEvents(stored, await store.all());
      await store.keep(unsent);
      return unsent;
    },
  });
  outbox.add([...events].sort((a, b) => a.seq - b.seq));
  const sent = await outbox.flushed(withinMs);
  outbox.dispose();
  // What was acknowledged is written behind all that: the store closes after it.
  const all = sent && (await sendUnread(store, url, unread).finally(() => store.close()));
  if (!sent) store.close();
  return all ? "sent" : sent ? "kept" : sending;
}

const storedSchema = v.object({ events: v.array(v.looseObject({ id: v.string() })) });

/** Those that only the server may still read, each behind all that it has; whether all were taken. */
async function sendUnread(
  store: EventStore,
  url: string,
  rows: readonly UnreadEvent[],
): Promise<boolean> {
  let all = true;
  for (const row of rows) {
    const signal = AbortSignal.timeout(WITHIN_MS);
    const { events } = v.parse(storedSchema, await (await fetch(url, { signal })).json());
    // It was taken, and the answer was lost.
    if (events.some(({ id }) => id === row.id)) {
      await store.acknowledgedUnread(row);
      continue;
    }
    const event = { ...(row.event as object), seq: events.length };
    const taken = await fetch(url, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ events: [event], sentAt: Date.now() }),
      signal,
    });
    if (taken.ok) await store.acknowledgedUnread(row);
    else all = false;
  }
  return all;
}

const WITHIN_MS = 6000;

/** Sends whatever lies in this browser, of every session of whoever is here, and tells what is left. */
export async function sendWaiting(tell: (waiting: Waiting) => void): Promise<Waiting> {
  const waiting = await waitingSessions();
  if (waiting.length > 0) {
    const [plays, events] = [playsIn(waiting), eventsIn(waiting)];
    tell({ plays, events, others: [], sending: "sending", takes: 0, otherTakes: [], arrived: 0 });
  }
  const others = new Set<string>();
  let worst: Sending = "sent";
  for (const session of waiting) {
    const went = await sendOne(session, WITHIN_MS).catch((): Sending => "kept");
    if (went === "not-ours") others.add(session.session);
    else if (went !== "sent") worst = went === "signed-out" ? went : "kept";
  }
  const still = await waitingSessions();
  const left = still.filter(({ session }) => !others.has(session));
  const [plays, events] = [playsIn(left), eventsIn(left)];
  const arrived = eventsIn(waiting) - eventsIn(still);
  const told = {
    plays,
    events,
    others: [...others],
    sending: worst,
    takes: 0,
    otherTakes: [],
    arrived,
  };
  tell(told);
  return told;
}
