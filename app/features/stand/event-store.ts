import { openDB, type DBSchema, type IDBPDatabase } from "idb";
import * as v from "valibot";
import { sessionEventSchema, type SessionEvent } from "~/core/session";

interface Kept extends DBSchema {
  events: { key: [string, string]; value: { session: string; id: string; event: unknown } };
}

const keptSchema = v.object({ event: sessionEventSchema });

/** The events of sessions as this browser keeps them, until the server has them and after. */
export class EventStore {
  private constructor(
    private readonly db: IDBPDatabase<Kept>,
    private readonly session: string,
  ) {}

  static async open(session: string): Promise<EventStore> {
    const db = await openDB<Kept>("fidus-stand", 1, {
      upgrade: (fresh) => fresh.createObjectStore("events", { keyPath: ["session", "id"] }),
    });
    return new EventStore(db, session);
  }

  private get range(): IDBKeyRange {
    return IDBKeyRange.bound([this.session], [this.session, []]);
  }

  async all(): Promise<SessionEvent[]> {
    const rows = await this.db.getAll("events", this.range);
    // A row that can't be read must not take the others with it.
    return rows.flatMap((row) => {
      const read = v.safeParse(keptSchema, row);
      return read.success ? [read.output.event] : [];
    });
  }

  /** Resolves once the events are on disk. Keeping one again changes nothing. */
  async keep(events: readonly SessionEvent[]): Promise<void> {
    const tx = this.db.transaction("events", "readwrite", { durability: "strict" });
    for (const event of events) void tx.store.put({ session: this.session, id: event.id, event });
    await tx.done;
  }

  close(): void {
    this.db.close();
  }
}
