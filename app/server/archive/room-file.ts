import * as v from "valibot";
import { ROOM_TABLE_NAMES, type RoomTableName } from "~/db/queries";
import { Archive } from "./read";

const canonicalId = v.pipe(v.string(), v.uuid(), v.toLowerCase());

/** Which file it is, and from which tables on. */
export const roomHeaderSchema = v.object({
  format: v.literal("fidus-room"),
  /** How far the tables had come; see the migrations. */
  tables: v.pipe(v.number(), v.integer(), v.minValue(1)),
  /** By which counting its plays were counted. */
  counting: v.pipe(v.number(), v.integer()),
  room: canonicalId,
  name: v.string(),
  taken: v.pipe(v.string(), v.isoTimestamp()),
});
export type RoomHeader = v.InferOutput<typeof roomHeaderSchema>;

export const HEADER = "room.json";
export const dataFile = (table: RoomTableName): string => `data/${table}.jsonl`;
/** Where a sound lies in the file of a room, by the hash of what is in it. */
export const soundFile = (hash: string): string => `sounds/${hash}`;

/** A room that can't be read, told to whoever sent it. */
export class Unreadable extends Error {}

/** No header of ours is longer, whatever a file claims. */
const MOST_HEADER = 100_000;
const NOT_OURS = "This is no file of a room: what it is can't be read in it.";

export const jsonOf = (text: string): unknown => {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
};

const rowSchema = v.record(v.string(), v.unknown());
export type Row = v.InferOutput<typeof rowSchema>;

/** A row as it is in the file, and the line on which it stands there. */
export interface RowInFile {
  readonly row: Row;
  readonly where: string;
}

/** Tables in it that no room of ours has: a link or a sign-in is not brought in by a file. */
function refuseStrange(archive: Archive): void {
  const known = new Set(ROOM_TABLE_NAMES.map(dataFile));
  const strange = archive
    .names()
    .find((name) => name.startsWith("data/") && !name.endsWith("/") && !known.has(name));
  if (strange === undefined) return;
  throw new Unreadable(`${strange.slice(0, 80)} is in it, which is nothing of a room's.`);
}

/** The file of a room, read row by row; whatever can't be is {@link Unreadable}. */
export class RoomFile {
  private constructor(
    readonly archive: Archive,
    readonly header: RoomHeader,
  ) {}

  static async open(path: string): Promise<RoomFile> {
    const opened = await Archive.open(path);
    if (!opened.ok) throw new Unreadable(opened.error);
    const archive = opened.value;
    try {
      let text = "";
      for await (const chunk of archive.chunks(HEADER)) {
        text += chunk.toString("utf8");
        if (text.length > MOST_HEADER) break;
      }
      const header = v.safeParse(roomHeaderSchema, jsonOf(text));
      if (!header.success) throw new Unreadable(NOT_OURS);
      refuseStrange(archive);
      return new RoomFile(archive, header.output);
    } catch (error) {
      archive.close();
      throw error;
    }
  }

  /** The rows of a table as they are in the file. */
  async *rows(name: RoomTableName): AsyncGenerator<RowInFile> {
    let number = 0;
    for await (const line of this.archive.lines(dataFile(name))) {
      const where = `${dataFile(name)}, line ${++number}`;
      const read = v.safeParse(rowSchema, jsonOf(line));
      if (!read.success) throw new Unreadable(`${where}: this is no row.`);
      yield { row: read.output, where };
    }
  }

  close(): void {
    this.archive.close();
  }
}
