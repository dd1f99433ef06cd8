import { openDB, type DBSchema, type IDBPDatabase } from "idb";
import * as v from "valibot";
import { sessionEventSchema, type SessionEvent } from "~/core/session";

const NAME = "fidus-stand";
const VERSION = 2;
/** A store that takes longer to open than this is held by somebody, or blocked for good. */
const PATIENCE_MS = 4000;

interface Kept extends DBSchema {
  events: {
    key: [string, string];
    value: { session: string; id: string; event: unknown; sent?: boolean };
  };
  sessions: { key: string; value: { session: string; url: string } };
}

const keptSchema = v.object({ event: sessionEventSchema });
const homeSchema = v.object({ session: v.string(), url: v.string() });

/** What of one session lies in this browser and has not been acknowledged. */
export interface WaitingSession {
  readonly session: string;
  /** Where its events are sent. */
  readonly url: string;
  readonly events: readonly SessionEvent[];
  /** What this version of Fidus can't read: an earlier one has left it, and it is sent as it is. */
  readonly unread: readonly UnreadEvent[];
}

export type UnreadEvent = Kept["events"]["value"];

/** A row that can't be read must not take the others with it. */
const readEvents = (rows: readonly unknown[]): SessionEvent[] =>
  rows.flatMap((row) => {
    const read = v.safeParse(keptSchema, row);
    return read.success ? [read.output.event] : [];
  });

const unreadIn = (rows: readonly Kept["events"]["value"][]): UnreadEvent[] =>
  rows.filter((row) => !v.is(keptSchema, row));

const openStore = (): Promise<IDBPDatabase<Kept>> =>
  openDB<Kept>(NAME, VERSION, {
    upgrade(fresh, before) {
      if (before < 1) fresh.createObjectStore("events", { keyPath: ["session", "id"] });
      if (before < 2) fresh.createObjectStore("sessions", { keyPath: "session" });
    },
    // A newer Fidus in another window wants to change the store: it must not wait for this one.
    blocking: (_current, _blocked, event) => (event.target as IDBDatabase).close(),
  });

/** The store, or a rejection where it takes longer than `PATIENCE_MS`; `late` has it after that. */
function inTime<T>(opening: Promise<T>, late: (opened: T) => void): Promise<T> {
  return new Promise((resolve, reject) => {
    const tooLong = setTimeout(() => {
      reject(new Error("The browser's store does not open."));
      void opening.then(late, () => undefined);
    }, PATIENCE_MS);
    opening.then(resolve, reject).finally(() => clearTimeout(tooLong));
  });
}

const openedInTime = () => inTime(openStore(), (db) => db.close());

/** The events of sessions as this browser keeps them, until the server has them and after. */
export class EventStore {
  private constructor(
    private readonly db: IDBPDatabase<Kept>,
    private readonly session: string,
  ) {}

  /**
   * Opens the store for a session; rejects where the browser keeps nothing, or takes too long.
   * A store that opens after that is given to `late`, which closes it by default.
   */
  static open(
    session: string,
    url: string,
    late = (store: EventStore): void => store.close(),
  ): Promise<EventStore> {
    return inTime(EventStore.opened(session, url), late);
  }

  private static async opened(session: string, url: string): Promise<EventStore> {
    const db = await openStore();
    try {
      await db.put("sessions", { session, url });
      return new EventStore(db, session);
    } catch (error) {
      db.close();
      throw error;
    }
  }

  private get range(): IDBKeyRange {
    return IDBKeyRange.bound([this.session], [this.session, []]);
  }

  async all(): Promise<SessionEvent[]> {
    return readEvents(await this.db.getAll("events", this.range));
  }

  /** Resolves once the events are on disk. Keeping one again changes nothing. */
  async keep(events: readonly SessionEvent[]): Promise<void> {
    const tx = this.db.transaction("events", "readwrite", { durability: "strict" });
    for (const event of events) void tx.store.put({ session: this.session, id: event.id, event });
    // Said now, it is written even where the page goes away in this moment.
    tx.commit();
    await tx.done;
  }

  /** The server has them; they stay here so that the stand opens again without it. */
  async acknowledged(events: readonly SessionEvent[]): Promise<void> {
    const tx = this.db.transaction("events", "readwrite");
    for (const event of events) {
      void tx.store.put({ session: this.session, id: event.id, event, sent: true });
    }
    await tx.done;
  }

  /** The server has taken one that only it can read. */
  async acknowledgedUnread(row: UnreadEvent): Promise<void> {
    await this.db.put("events", { ...row, sent: true });
  }

  /** Forgets other sessions of which the server has everything. */
  async forgetOthers(): Promise<void> {
    const waiting = new Set((await waitingIn(this.db)).map(({ session }) => session));
    const tx = this.db.transaction(["events", "sessions"], "readwrite");
    for (const session of await tx.objectStore("sessions").getAllKeys()) {
      if (session === this.session || waiting.has(session)) continue;
      void tx.objectStore("events").delete(IDBKeyRange.bound([session], [session, []]));
      void tx.objectStore("sessions").delete(session);
    }
    await tx.done;
  }

  close(): void {
    this.db.close();
  }
}

async function waitingIn(db: IDBPDatabase<Kept>): Promise<WaitingSession[]> {
  const homes = await db.getAll("sessions");
  const all = await Promise.all(
    homes.map(async (home) => {
      const { session, url } = v.parse(homeSchema, home);
      const rows = await db.getAll("events", IDBKeyRange.bound([session], [session, []]));
      const unsent = rows.filter(({ sent }) => !sent);
      return { session, url, events: readEvents(unsent), unread: unreadIn(unsent) };
    }),
  );
  return all.filter(({ events, unread }) => events.length + unread.length > 0);
}

/** What lies in this browser and has not arrived, of every session; nothing where it keeps nothing. */
export async function waitingSessions(): Promise<WaitingSession[]> {
  try {
    const db = await openedInTime();
    const waiting = await waitingIn(db);
    db.close();
    return waiting;
  } catch {
    return [];
  }
}

/** Takes what a stand has left in this browser away, but for sessions that wait for somebody else. */
export async function forgetAllBut(spared: readonly string[]): Promise<void> {
  try {
    const db = await openedInTime();
    const tx = db.transaction(["events", "sessions"], "readwrite");
    for (const [session, id] of await tx.objectStore("events").getAllKeys()) {
      if (!spared.includes(session)) void tx.objectStore("events").delete([session, id]);
    }
    for (const session of await tx.objectStore("sessions").getAllKeys()) {
      if (!spared.includes(session)) void tx.objectStore("sessions").delete(session);
    }
    await tx.done;
    db.close();
  } catch {
    // Where nothing can be kept there is nothing to forget.
  }
  if ("caches" in globalThis) await caches.delete(NAME);
}
