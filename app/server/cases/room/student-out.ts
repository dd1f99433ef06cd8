import {
  originalOf,
  paperFileOf,
  paperOf,
  piecesOfPerson,
  scoreOf,
  soundsKept,
  studentById,
} from "~/db/queries";
import { isPacked, soundsOf, type ArchiveEntry } from "../../archive/entry";
import { fileNameOf, Names } from "../../archive/names";
import type { Told } from "../../archive/told";
import { zipOf } from "../../archive/write";
import { csvText } from "../../csv";
import type { Services } from "../../services";
import { pieceAsMusicXml, pieceDocument } from "../piece/piece-files";
import { studentTables } from "./student-tables";

/** Everything of a student in open formats: tables, and each piece twice. */
export async function* studentEntries(
  services: Services,
  told: Told,
  studioId: string,
  personId: string,
  folder: string,
): AsyncGenerator<ArchiveEntry> {
  for (const [file, read] of Object.entries(studentTables(services, told, studioId, personId))) {
    yield { name: `${folder}${file}.csv`, content: csvText(read()) };
  }
  const names = new Names();
  for (const { id, title } of await piecesOfPerson(services.db, studioId, personId)) {
    const name = `${folder}pieces/${names.own(title)}`;
    const document = await pieceDocument(services, studioId, personId, id);
    yield { name: `${name}.json`, content: [JSON.stringify(document)] };
    const musicXml = await pieceAsMusicXml(services, told, studioId, id, document);
    yield { name: `${name}.musicxml`, content: [musicXml] };
  }
}

/** The files by which a student's pieces came in. */
async function* originalsOf(
  { db }: Services,
  studioId: string,
  personId: string,
): AsyncGenerator<ArchiveEntry> {
  const names = new Names();
  const entry = (title: string, file: { file_name: string; original: Uint8Array }) => {
    const name = `originals/${names.own(`${title}, ${file.file_name}`)}`;
    return { name, content: [file.original], packed: isPacked(file.file_name) };
  };
  for (const { id, title } of await piecesOfPerson(db, studioId, personId)) {
    if (await scoreOf(db, studioId, id)) yield entry(title, await originalOf(db, studioId, id));
    const paper = await paperOf(db, studioId, id);
    for (const index of paper?.files.keys() ?? []) {
      yield entry(title, await paperFileOf(db, studioId, id, index + 1));
    }
  }
}

const EXTENSIONS: Readonly<Record<string, string>> = { "audio/mpeg": "mp3", "audio/mp4": "m4a" };
const extensionOf = (mediaType: string) => EXTENSIONS[mediaType] ?? mediaType.split("/")[1]!;

/** What a student has recorded, what was said of it aloud, and what they play along with. */
async function* recordings(services: Services, studioId: string, personId: string) {
  const names = new Names();
  const sounds = await soundsKept(services.db, studioId, personId);
  yield* soundsOf(services, sounds, ({ day, what, title, media_type }) => {
    const name = names.own([day, what, title].filter((part) => part !== null).join(", "));
    return `recordings/${name}.${extensionOf(media_type)}`;
  });
}

interface Wanted {
  readonly withSounds: boolean;
}

async function* entriesOf(
  services: Services,
  told: Told,
  studioId: string,
  personId: string,
  { withSounds }: Wanted,
) {
  yield { name: "dictionary.csv", content: csvText([told.dictionary]) };
  yield* studentEntries(services, told, studioId, personId, "");
  yield* originalsOf(services, studioId, personId);
  if (withSounds) yield* recordings(services, studioId, personId);
}

/** A student's own data as a zip, with the name for it. */
export async function studentAsZip(
  services: Services,
  told: Told,
  studioId: string,
  personId: string,
  wanted: Wanted,
) {
  const { name } = await studentById(services.db, studioId, personId);
  const entries = entriesOf(services, told, studioId, personId, wanted);
  const zip = zipOf(entries, new Date(services.now()));
  return { name, zip };
}

const PIECE_FORMATS = {
  json: "application/json",
  musicxml: "application/vnd.recordare.musicxml+xml",
} as const;
export type PieceFormat = keyof typeof PIECE_FORMATS;
export const isPieceFormat = (format: string | undefined): format is PieceFormat =>
  format !== undefined && Object.hasOwn(PIECE_FORMATS, format);

/** A piece of a student as a file. */
export async function pieceAsFile(
  services: Services,
  told: Told,
  studioId: string,
  personId: string,
  pieceId: string,
  format: PieceFormat,
): Promise<Response> {
  const document = await pieceDocument(services, studioId, personId, pieceId);
  const text =
    format === "json"
      ? JSON.stringify(document, null, 2)
      : await pieceAsMusicXml(services, told, studioId, pieceId, document);
  const name = encodeURIComponent(`${fileNameOf(document.title)}.${format}`);
  return new Response(text, {
    headers: {
      "Content-Type": `${PIECE_FORMATS[format]}; charset=utf-8`,
      "Content-Disposition": `attachment; filename*=UTF-8''${name}`,
    },
  });
}
