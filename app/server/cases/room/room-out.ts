import * as v from "valibot";
import {
  papersOfRoom,
  ROOM_TABLE_NAMES,
  roomBytes,
  roomLines,
  soundsKept,
  roomTable,
  studentsOf,
  studioById,
  tablesVersion,
  titlesOf,
  type RoomTableName,
} from "~/db/queries";
import { isPacked, once, soundsOf, type ArchiveEntry } from "../../archive/entry";
import { Names } from "../../archive/names";
import { dataFile, HEADER, soundFile, type RoomHeader } from "../../archive/room-file";
import type { Told } from "../../archive/told";
import { zipOf } from "../../archive/write";
import { csvText } from "../../csv";
import { todayIn, type Services } from "../../services";
import { COUNTING } from "../session/counting";
import { studentEntries } from "./student-out";

/** A row whose bytes lie beside it, as far as that has to be known of it. */
const besideSchema = v.looseObject({
  id: v.optional(v.string()),
  piece_id: v.optional(v.string()),
  paper_id: v.optional(v.string()),
  number: v.optional(v.number()),
  file_name: v.optional(v.string()),
  media_type: v.optional(v.string()),
});
type Beside = v.InferOutput<typeof besideSchema>;

/** Where the bytes of a row lie in the archive: with their piece, under the name that they came by. */
class Originals {
  private readonly names = new Names();
  readonly found: { readonly path: string; readonly read: () => Promise<Uint8Array> }[] = [];

  /** Titles by the id of a piece, or of its pages on paper. */
  constructor(private readonly titles: ReadonlyMap<string, string>) {}

  place(row: Beside, read: () => Promise<Uint8Array>): string {
    const title = this.titles.get(row.piece_id ?? row.paper_id ?? "") ?? "piece";
    const image = `page ${row.number}.${row.media_type === "image/png" ? "png" : "jpg"}`;
    const path = `originals/${this.names.own(`${title}, ${row.file_name ?? image}`)}`;
    this.found.push({ path, read });
    return path;
  }
}

async function* linesOf(
  services: Services,
  studioId: string,
  name: RoomTableName,
  originals: Originals,
): AsyncGenerator<string> {
  const { bytes } = roomTable(name);
  for await (const lines of roomLines(services.db, studioId, name)) {
    if (bytes === undefined) {
      yield `${lines.join("\n")}\n`;
      continue;
    }
    for (const line of lines) {
      const row = v.parse(besideSchema, JSON.parse(line));
      const read = () => roomBytes(services.db, studioId, name, row);
      yield `${JSON.stringify({ ...row, [bytes]: originals.place(row, read) })}\n`;
    }
  }
}

async function* entriesOf(
  services: Services,
  told: Told,
  studioId: string,
  withSounds: boolean,
): AsyncGenerator<ArchiveEntry> {
  const { db } = services;
  const studio = await studioById(db, studioId);
  const today = todayIn(services, studio);
  yield { name: "README.txt", content: [told.readme(studio.name, today)] };
  yield { name: "students/dictionary.csv", content: csvText([told.dictionary]) };
  const folders = new Names();
  for (const { id, name } of await studentsOf(db, studioId)) {
    yield* studentEntries(services, told, studioId, id, `students/${folders.own(name)}/`);
  }
  const titles = new Map((await titlesOf(db, studioId)).map(({ id, title }) => [id, title]));
  for (const { id, piece_id } of await papersOfRoom(db, studioId)) {
    titles.set(id, titles.get(piece_id) ?? "");
  }
  const originals = new Originals(titles);
  // What refers to something is read before it: whatever is written meanwhile, nothing lacks
  // what it refers to.
  for (const name of [...ROOM_TABLE_NAMES].reverse()) {
    yield { name: dataFile(name), content: linesOf(services, studioId, name, originals) };
  }
  for (const { path, read } of originals.found) {
    yield { name: path, content: once(read), packed: isPacked(path) };
  }
  if (withSounds) {
    const sounds = await soundsKept(db, studioId);
    yield* soundsOf(services, sounds, ({ hash }) => soundFile(hash));
  }
  const header: RoomHeader = {
    format: "fidus-room",
    tables: await tablesVersion(db),
    counting: COUNTING,
    room: studioId,
    name: studio.name,
    taken: new Date(services.now()).toISOString(),
  };
  yield { name: HEADER, content: [JSON.stringify(header, null, 2)] };
}

/**
 * A whole room as a zip: for people as MusicXML, CSV and originals, for Fidus table by table; with
 * its recordings where they are wanted.
 */
export const roomAsZip = (
  services: Services,
  told: Told,
  studioId: string,
  { withSounds }: { readonly withSounds: boolean },
): ReadableStream<Uint8Array> =>
  zipOf(entriesOf(services, told, studioId, withSounds), new Date(services.now()));
