import * as v from "valibot";
import { roomTable, type RoomTableName } from "~/db/queries";
import { Archive } from "./read";

/** Which file it is, and from which tables on. */
export const roomHeaderSchema = v.object({
  format: v.literal("fidus-room"),
  /** How far the tables had come; see the migrations. */
  tables: v.pipe(v.number(), v.integer(), v.minValue(1)),
  /** By which counting its plays were counted. */
  counting: v.pipe(v.number(), v.integer()),
  room: v.pipe(v.string(), v.uuid()),
  name: v.string(),
  taken: v.pipe(v.string(), v.isoTimestamp()),
});
export type RoomHeader = v.InferOutput<typeof roomHeaderSchema>;

export const HEADER = "room.json";
export const dataFile = (table: RoomTableName): string => `data/${table}.jsonl`;

/** A room that can't be read, told to whoever sent it. */
export class Unreadable extends Error {}

/** No file that came in is larger. */
const MOST_ORIGINAL = 45_000_000;

/** No header of ours is longer, whatever a file claims. */
const MOST_HEADER = 100_000;
const NOT_OURS = "This is no file of a room: what it is can't be read in it.";

const jsonOf = (text: string): unknown => {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
};

const rowSchema = v.record(v.string(), v.unknown());
type Row = v.InferOutput<typeof rowSchema>;

/** A row as it goes into the database. */
export interface RoomRow {
  readonly id: string | undefined;
  readonly columns: readonly string[];
  readonly line: string;
}

/** The file of a room, read row by row; whatever can't be is {@link Unreadable}. */
export class RoomFile {
  private constructor(
    private readonly archive: Archive,
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
      return new RoomFile(archive, header.output);
    } catch (error) {
      archive.close();
      throw error;
    }
  }

  /** The rows of a table as they are in the file, each with the number of its line. */
  async *rows(name: RoomTableName): AsyncGenerator<{ row: Row; line: string; where: string }> {
    let number = 0;
    for await (const line of this.archive.lines(dataFile(name))) {
      const where = `${dataFile(name)}, line ${++number}`;
      const read = v.safeParse(rowSchema, jsonOf(line));
      if (!read.success) throw new Unreadable(`${where}: this is no row.`);
      yield { row: read.output, line, where };
    }
  }

  /** The rows of a table as they can be written, with other ids in the place of the file's. */
  async *written(name: RoomTableName, own: (text: string) => string): AsyncGenerator<RoomRow> {
    const { bytes, row: schema } = roomTable(name);
    for await (const { row, line, where } of this.rows(name)) {
      if (row.studio_id !== undefined && row.studio_id !== this.header.room) {
        throw new Unreadable(`${where}: this belongs to another room.`);
      }
      const fits = v.safeParse(schema, row);
      if (!fits.success) {
        const [issue] = fits.issues;
        throw new Unreadable(`${where}: ${v.getDotPath(issue) ?? "row"}: ${issue.message}`);
      }
      yield {
        id: typeof row.id === "string" ? own(row.id) : undefined,
        columns: Object.keys(row),
        line: bytes === undefined ? own(line) : await this.withBytes(row, bytes, own),
      };
    }
  }

  /** Bytes are put in as the database reads them; no id is looked for in them or in their name. */
  private async withBytes(row: Row, column: string, own: (text: string) => string) {
    const { [column]: path, ...rest } = row;
    const size = typeof path === "string" ? this.archive.size(path) : undefined;
    if (typeof path !== "string" || size === undefined) {
      throw new Unreadable("A file that belongs to it is missing.");
    }
    if (size > MOST_ORIGINAL) throw new Unreadable(`${path} is larger than a file may be.`);
    const hex = (await this.archive.bytes(path)).toString("hex");
    return JSON.stringify({ ...(jsonOf(own(JSON.stringify(rest))) as Row), [column]: `\\x${hex}` });
  }

  close(): void {
    this.archive.close();
  }
}
