import { err, ok, type Result } from "~/core/result";
import type { SessionEvent } from "~/core/session";
import { DatabaseError } from "~/db/client";
import { eventsOf, insertEvents, studioById } from "~/db/queries";
import type { Services } from "../../services";
import { countedSession, liveSessions } from "./live-sessions";
import { countMore, estimateDays } from "./project-session";

/** Why events were not taken; `next` is the position that the server expects. */
export interface NotTaken {
  readonly kind: "gap" | "conflict";
  readonly next: number;
  readonly sentence: string;
}

/**
 * Which of the events are new, given those stored. An event that is stored already is passed over;
 * a position that is taken by another event, or one that leaves a gap, refuses the whole batch.
 */
export function newAmong(
  stored: readonly SessionEvent[],
  incoming: readonly SessionEvent[],
): Result<SessionEvent[], NotTaken> {
  const sent = new Set(incoming.map(({ id }) => id));
  const seqById = new Map<string, number>();
  for (const { id, seq } of stored) if (sent.has(id)) seqById.set(id, seq);
  const fresh: SessionEvent[] = [];
  let next = stored.length;
  for (const event of [...incoming].sort((a, b) => a.seq - b.seq)) {
    const known = seqById.get(event.id);
    if (known === event.seq) continue;
    if (known !== undefined || event.seq < next) {
      const sentence = `Event ${event.seq} is already there and is another one.`;
      return err({ kind: "conflict", next: stored.length, sentence });
    }
    if (event.seq > next) {
      const sentence = `Event ${event.seq} came before event ${next}.`;
      return err({ kind: "gap", next: stored.length, sentence });
    }
    seqById.set(event.id, event.seq);
    fresh.push(event);
    next++;
  }
  return ok(fresh);
}

/** A device this little off is taken to be right. */
const CLOCKS_AGREE_MS = 10 * 60_000;

/** The server's clock less the device's when it sent; 0 when they agree, or it didn't say. */
function clockOffset(now: number, sentAt: number | undefined): number {
  const offset = sentAt === undefined ? 0 : now - sentAt;
  return Math.abs(offset) < CLOCKS_AGREE_MS ? 0 : Math.round(offset);
}

/** Appends events to a session and brings the projections up to date, all or nothing. */
export async function appendEvents(
  { db, now }: Pick<Services, "db" | "now">,
  studioId: string,
  sessionId: string,
  incoming: readonly SessionEvent[],
  sentAt?: number,
): Promise<Result<{ next: number }, NotTaken>> {
  const live = liveSessions(db);
  const name = `${studioId} ${sessionId}`;
  const append = () =>
    db.transaction(async (tx) => {
      const before = await countedSession(tx, live, studioId, sessionId);
      const fresh = newAmong(before.events, incoming);
      if (!fresh.ok) return fresh;
      if (fresh.value.length === 0) return ok(before);
      const received = now();
      const kept = insertEvents(tx, studioId, sessionId, fresh.value, {
        receivedAt: new Date(received),
        clockOffset: clockOffset(received, sentAt),
      });
      kept.catch(() => undefined);
      const zone = before.written ? "" : (await studioById(tx, studioId)).time_zone;
      const { counted, writing } = await countMore(tx, studioId, zone, before, fresh.value);
      // One behind the other, without waiting for each: half of the time would go in waiting.
      const estimates = [...counted.touched].map((passageId) =>
        estimateDays(tx, studioId, passageId, counted.written!.day, {
          written: counted.written!,
          kinds: counted.kinds,
        }),
      );
      await Promise.all([kept, writing, ...estimates]);
      return ok(counted);
    });
  const isThere = (failure: unknown) =>
    failure instanceof DatabaseError && failure.kind === "unique";
  const again = () => {
    live.forget(name);
    return append();
  };
  const done = await append()
    // Something else may have written to it: then what is known in memory is old.
    .catch((failure: unknown) => {
      if (!isThere(failure)) throw failure;
      return again();
    })
    .catch(async (failure: unknown): Promise<Result<never, NotTaken>> => {
      if (!isThere(failure)) throw failure;
      const { length: next } = await eventsOf(db, studioId, sessionId);
      return err({
        kind: "conflict",
        next,
        sentence: "An event of it belongs to another session.",
      });
    });
  if (!done.ok) {
    // The stand is told by what is stored, not by what is remembered.
    live.forget(name);
    return done;
  }
  live.set(name, done.value);
  return ok({ next: done.value.events.length });
}
