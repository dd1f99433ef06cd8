import { openDB, type DBSchema, type IDBPDatabase } from "idb";
import * as v from "valibot";
import { takeSchema, type Take } from "~/core/listen";
import { TAKES_STORE } from "./takes-store-name";

const VERSION = 1;
/** Whoever records for longer has left. */
const UNFINISHED_MS = 3_600_000;

interface KeptTakes extends DBSchema {
  /** Where a take is sent; `about` once it is whole. */
  takes: { key: string; value: { id: string; url: string; begun: number; about?: unknown } };
  pieces: { key: [string, number]; value: { take: string; index: number; bytes: ArrayBuffer } };
}

const storedSchema = v.object({ id: v.string(), url: v.string(), about: v.optional(takeSchema) });

/** A whole take that lies in this browser and has not arrived. */
export interface WaitingTake {
  readonly id: string;
  readonly url: string;
  readonly about: Take;
  readonly bytes: Blob;
}

const opened = (): Promise<IDBPDatabase<KeptTakes>> =>
  openDB<KeptTakes>(TAKES_STORE, VERSION, {
    upgrade(fresh) {
      fresh.createObjectStore("takes", { keyPath: "id" });
      fresh.createObjectStore("pieces", { keyPath: ["take", "index"] });
    },
    blocking: (_current, _blocked, event) => (event.target as IDBDatabase).close(),
  });

const piecesOf = (id: string) => IDBKeyRange.bound([id], [id, []]);

/** Keeps recordings in this browser, piece by piece as they come, until the server has them. */
export class TakeStore {
  private constructor(private readonly db: IDBPDatabase<KeptTakes>) {}

  static open = async (): Promise<TakeStore> => new TakeStore(await opened());

  begin = (id: string, url: string): Promise<unknown> =>
    this.db.put("takes", { id, url, begun: Date.now() });

  async keep(take: string, index: number, piece: Blob): Promise<void> {
    const bytes = await piece.arrayBuffer();
    await this.db.put("pieces", { take, index, bytes });
  }

  /** It is whole: what is known of it stands beside it. */
  finish = (id: string, url: string, about: Take): Promise<unknown> =>
    this.db.put("takes", { id, url, begun: about.at, about });

  async forget(id: string): Promise<void> {
    const tx = this.db.transaction(["takes", "pieces"], "readwrite");
    void tx.objectStore("takes").delete(id);
    void tx.objectStore("pieces").delete(piecesOf(id));
    await tx.done;
  }

  /** Whole takes that wait; what a page that was closed left unfinished belongs to no play. */
  async waiting(): Promise<WaitingTake[]> {
    const all = [];
    for (const row of await this.db.getAll("takes")) {
      const read = v.safeParse(storedSchema, row);
      const about = read.success ? read.output.about : undefined;
      if (!about) {
        if (Date.now() - row.begun > UNFINISHED_MS) await this.forget(row.id);
        continue;
      }
      const pieces = await this.db.getAll("pieces", piecesOf(row.id));
      all.push({ id: row.id, url: row.url, about, bytes: new Blob(pieces.map((p) => p.bytes)) });
    }
    return all;
  }

  close(): void {
    this.db.close();
  }
}
