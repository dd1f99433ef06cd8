import { createHash } from "node:crypto";
import { createWriteStream } from "node:fs";
import { pipeline } from "node:stream/promises";
import * as v from "valibot";
import { RULES_NOW } from "~/core/ladder";
import { speakPlainly } from "~/core/result";
import { MADE_BY_FIRST } from "~/db/client";
import {
  ROOM_TABLE_NAMES,
  roomTable,
  type RoomTable,
  type RoomTableName,
  type TableShape,
} from "~/db/queries";
import { opensAsPicture } from "../score/open-picture";
import { openSound } from "../score/open-sound";
import { ownIds, withOwnIds, wordsWithOwnIds, type OwnId } from "./ids";
import { References } from "./references";
import { dataFile, RoomFile, soundFile, Unreadable, type Row } from "./room-file";
import { ROW_SCHEMAS } from "./room-rows";
import { misfit } from "./room-values";

/** What is to be read, and into which room. */
export interface RoomReadingAsked {
  readonly file: string;
  readonly studioId: string;
  /** The teacher who reads it in. */
  readonly reader: { readonly id: string; readonly name: string };
  readonly shapes: Readonly<Record<RoomTableName, TableShape>>;
  /** How far the tables of this server have come, and how it counts. */
  readonly tables: number;
  readonly counting: number;
  /** Where sounds are laid, each under a name that is told with it. */
  readonly sounds: string;
}

/** A part of a room as it is read: what to write next. */
export type RoomPart =
  | { readonly kind: "begins"; readonly name: string; readonly counted: boolean }
  | {
      readonly kind: "rows";
      readonly table: RoomTableName;
      readonly columns: readonly string[];
      /** A JSON array. */
      readonly rows: string;
      readonly where: string;
    }
  /** The room's own row, or that of the teacher who reads it in. */
  | {
      readonly kind: "over";
      readonly table: "studio" | "person";
      readonly columns: readonly string[];
      readonly row: string;
    }
  /** A sound that lies in the folder for sounds. */
  | { readonly kind: "sound"; readonly name: string; readonly hash: string };

/** So many characters are written at once: a statement of some twenty milliseconds. */
const BATCH = 80_000;
/** No file that came in is larger, and no sound. */
const MOST_ORIGINAL = 45_000_000;
const HASH = /^[0-9a-f]{64}$/;

/** Who in the file is the one that reads it in: the only teacher, or the one of the same name. */
async function readerIn(file: RoomFile, name: string): Promise<string | undefined> {
  const teachers: Row[] = [];
  for await (const { row } of file.rows("person")) if (row.role === "teacher") teachers.push(row);
  const [only, ...others] = teachers;
  const found = others.length === 0 ? only : teachers.find((each) => each.name === name);
  return typeof found?.id === "string" ? found.id : undefined;
}

const underTodaysRules = v.object({ plan: v.object({ rules: v.literal(RULES_NOW) }) });

/** Reads the rows of one file into one room. */
class Reading {
  private readonly references: References;
  private readonly own: OwnId;
  private readonly bars = new Map<unknown, number>();
  private readonly soundsBrought = new Set<string>();

  constructor(
    private readonly file: RoomFile,
    private readonly asked: RoomReadingAsked,
    private readonly teacher: string | undefined,
  ) {
    this.references = new References(asked.shapes);
    const known = new Map([[file.header.room, asked.studioId]]);
    if (teacher !== undefined) known.set(teacher, asked.reader.id);
    this.own = ownIds(asked.studioId, known);
  }

  /** Refuses a row that this room can't take, with its place in the file. */
  private check(name: RoomTableName, row: Row, where: string): void {
    const belongs = name === "studio" ? row.id : row.studio_id;
    if (belongs !== undefined && belongs !== this.file.header.room) {
      throw new Unreadable(`${where}: this belongs to another room.`);
    }
    const wrong = misfit(row, this.asked.shapes[name]);
    if (wrong !== undefined) throw new Unreadable(`${where}: ${wrong}.`);
    if (name === "session" && !v.is(underTodaysRules, row))
      throw new Unreadable(`${MADE_BY_FIRST}.`);
    const fits = v.safeParse(ROW_SCHEMAS[name], row);
    if (!fits.success) {
      const [issue] = fits.issues;
      throw new Unreadable(`${where}: ${v.getDotPath(issue) ?? "row"}: ${issue.message}`);
    }
    if (name === "piece") this.bars.set(row.id, Number(row.bars));
    if (name === "passage" && Number(row.to_bar) > (this.bars.get(row.piece_id) ?? 0)) {
      throw new Unreadable(`${where}: to_bar: the piece has fewer bars.`);
    }
  }

  /** A row as it is written: under this room's ids, with the bytes that lie beside it. */
  private async written(row: Row, table: RoomTable, where: string): Promise<Row> {
    const { bytes, picture = false, sound, words = [] } = table;
    const own = withOwnIds(row, this.own) as Row;
    // Which room it is of is said by whoever writes it.
    delete own.studio_id;
    for (const column of words) own[column] = wordsWithOwnIds(String(row[column]), this.own);
    if (bytes !== undefined) own[bytes] = await this.bytes(row[bytes], picture, where);
    if (sound && row.hash !== null) own.hash = this.soundOf(row, where);
    return own;
  }

  private async bytes(path: unknown, picture: boolean, where: string): Promise<string> {
    const size = typeof path === "string" ? this.file.archive.size(path) : undefined;
    if (typeof path !== "string" || size === undefined) {
      throw new Unreadable(`${where}: a file that belongs to it is missing.`);
    }
    if (size > MOST_ORIGINAL) throw new Unreadable(`${path} is larger than a file may be.`);
    const bytes = await this.file.archive.bytes(path);
    if (picture && !(await opensAsPicture(bytes))) {
      throw new Unreadable(`${where}: ${path} is a picture that can't be opened.`);
    }
    return `\\x${bytes.toString("hex")}`;
  }

  /**
   * The hash under which a row's sound is kept. Without its bytes in the file it is one that no
   * sound has: naming a hash never reaches what somebody else has recorded.
   */
  private soundOf({ hash, bytes }: Row, where: string): string {
    if (typeof hash !== "string" || !HASH.test(hash)) {
      throw new Unreadable(`${where}: hash: no name of a sound.`);
    }
    const size = this.file.archive.size(soundFile(hash));
    if (size === undefined) {
      return createHash("sha256").update(`${this.asked.studioId} ${hash}`).digest("hex");
    }
    if (size !== bytes || size > MOST_ORIGINAL) {
      throw new Unreadable(`${where}: its sound has another length.`);
    }
    return hash;
  }

  /** Lays the sound of a row into the folder for sounds, once; what comes out otherwise is refused. */
  private async *sounds(row: Row, where: string): AsyncGenerator<RoomPart> {
    const { hash, media_type: told } = row;
    if (typeof hash !== "string" || this.soundsBrought.has(hash)) return;
    if (this.file.archive.size(soundFile(hash)) === undefined) return;
    this.soundsBrought.add(hash);
    const name = `${this.asked.studioId}-${hash}`;
    const sum = createHash("sha256");
    const { archive } = this.file;
    const heard = async function* () {
      for await (const chunk of archive.chunks(soundFile(hash))) {
        sum.update(chunk);
        yield chunk;
      }
    };
    const file = `${this.asked.sounds}/${name}`;
    await pipeline(heard, createWriteStream(file, { mode: 0o600 }));
    const kind = await openSound({ file });
    if (sum.digest("hex") !== hash || kind !== told) {
      throw new Unreadable(`${where}: its sound is not what it is said to be.`);
    }
    yield { kind: "sound", name, hash };
  }

  async *table(name: RoomTableName): AsyncGenerator<RoomPart> {
    const table = roomTable(name);
    let batch: string[] = [];
    let size = 0;
    let columns: readonly string[] = [];
    let from = "";
    const part = (): RoomPart => {
      const rows: RoomPart = {
        kind: "rows",
        table: name,
        columns,
        rows: `[${batch.join()}]`,
        where: from,
      };
      batch = [];
      size = 0;
      return rows;
    };
    for await (const { row, where } of this.references.inOrder(name, this.checked(name))) {
      if (table.sound) yield* this.sounds(row, where);
      const own = await this.written(row, table, where);
      const given = Object.keys(own);
      const line = JSON.stringify(own);
      if (name === "studio" || (name === "person" && row.id === this.teacher)) {
        yield { kind: "over", table: name, columns: given, row: line };
        continue;
      }
      if (batch.length > 0 && given.join() !== columns.join()) yield part();
      if (batch.length === 0) [columns, from] = [given, where];
      batch.push(line);
      size += line.length;
      if (size >= BATCH) yield part();
    }
    if (batch.length > 0) yield part();
  }

  private async *checked(name: RoomTableName) {
    let rows = 0;
    for await (const each of this.file.rows(name)) {
      this.check(name, each.row, each.where);
      if (name === "studio" && ++rows > 1) {
        throw new Unreadable(`${dataFile(name)}: a file holds one room.`);
      }
      yield each;
    }
  }
}

/**
 * Reads the file of a room in parts that can be written one after the other, each behind what it
 * refers to and under ids of this room; throws {@link Unreadable} with a sentence.
 */
export async function* readRoom(asked: RoomReadingAsked): AsyncGenerator<RoomPart> {
  speakPlainly();
  const file = await RoomFile.open(asked.file);
  try {
    const { tables, counting, name } = file.header;
    if (tables > asked.tables) {
      throw new Unreadable(
        "It was taken out of a later version of Fidus. Bring this one up to date first.",
      );
    }
    const counted = counting === asked.counting;
    yield { kind: "begins", name, counted };
    const reading = new Reading(file, asked, await readerIn(file, asked.reader.name));
    for (const table of ROOM_TABLE_NAMES) {
      if (counted || !roomTable(table).counted) yield* reading.table(table);
    }
  } finally {
    file.close();
  }
}
