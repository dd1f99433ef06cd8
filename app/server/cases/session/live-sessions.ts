import type { Database } from "~/db/client";
import { clearSessions, eventsOf, sessionById, studioById } from "~/db/queries";
import type { Queries } from "~/db/client";
import { countMore, uncounted, type Counted } from "./project-session";

/** So many sessions are played at the same time at most; more are read again. */
const MOST = 64;

/** Sessions that are being played: what is known of them need not be read at each event. */
class LiveSessions {
  private readonly known = new Map<string, Counted>();

  get(name: string): Counted | undefined {
    return this.known.get(name);
  }

  forget(name: string): void {
    this.known.delete(name);
  }

  set(name: string, counted: Counted): void {
    this.known.delete(name);
    this.known.set(name, counted);
    const [oldest] = this.known.keys();
    if (this.known.size > MOST && oldest !== undefined) this.known.delete(oldest);
  }
}

const byDatabase = new WeakMap<Database, LiveSessions>();

/** The sessions that are being played on a database. */
export function liveSessions(db: Database): LiveSessions {
  const known = byDatabase.get(db) ?? new LiveSessions();
  byDatabase.set(db, known);
  return known;
}

/**
 * A session as it stands: from memory where it is known, else from its events, counted and written
 * anew.
 */
export async function countedSession(
  tx: Queries,
  live: LiveSessions,
  studioId: string,
  sessionId: string,
): Promise<Counted> {
  const known = live.get(`${studioId} ${sessionId}`);
  if (known) return known;
  const studio = await studioById(tx, studioId);
  const session = await sessionById(tx, studioId, sessionId);
  const events = await eventsOf(tx, studioId, sessionId);
  await clearSessions(tx, [sessionId]);
  const before = uncounted(session);
  const { counted, writing } = await countMore(tx, studioId, studio.time_zone, before, events);
  await writing;
  return counted;
}
