import { MOST_FILE_BYTES, type ScoreFile } from "~/core/formats";
import { err, ok, type Result } from "~/core/result";
import { pieceOfScore, type Engraved, type Score } from "~/core/score";
import { bpm } from "~/core/units";
import {
  engravingOf,
  insertPiece,
  insertScore,
  originalOf,
  partOf,
  scoreOf,
  setPart,
  studentById,
} from "~/db/queries";
import type { FormRefused } from "~/forms/typed";
import { nameOf, type EngravingAsked } from "../score/engraving";
import { Kept } from "../score/kept";
import type { Services } from "../services";

const LONGEST_NAME = 200;

interface SentFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

const refusal = (file: string): Result<never, FormRefused> => err({ errors: { file }, values: {} });

/** The file of a form. */
async function sentFile(form: FormData): Promise<Result<SentFile, FormRefused>> {
  const file = form.get("file");
  if (!(file instanceof File) || file.size === 0) {
    return refusal(
      file instanceof File && file.name ? "The file is empty." : "Choose a file first.",
    );
  }
  if (file.size > MOST_FILE_BYTES) return refusal("The file is larger than 20 MB.");
  return ok({ name: nameOfFile(file.name), bytes: new Uint8Array(await file.arrayBuffer()) });
}

const nameOfFile = (name: string): string =>
  name.toWellFormed().replaceAll("\0", "").slice(-LONGEST_NAME) || "score";

/** "The_Ferry.musicxml" is the title where the file tells none. */
const titleOf = ({ title }: Score, { name }: SentFile): string =>
  title ||
  name
    .replace(/\.\w{1,8}$/, "")
    .replace(/[_-]+/g, " ")
    .trim() ||
  name;

/** The part that goes by the name of the student's instrument, or the first. */
function likelyPart({ parts }: Score, instrument: string): string {
  const wanted = instrument.toLowerCase();
  const found = parts.find(({ name }) => wanted && name.toLowerCase().includes(wanted));
  return (found ?? parts[0]!).id;
}

/** A new piece from a file, on a student's stand; gives its id, or says why the file can't be read. */
export async function pieceFromFile(
  { db, newId, now, scores }: Services,
  studioId: string,
  personId: string,
  form: FormData,
): Promise<Result<string, FormRefused>> {
  const given = await sentFile(form);
  if (!given.ok) return given;
  const sent = given.value;
  const read = await scores.read(sent.bytes);
  if (!read.ok) return refusal(read.error);
  const file: ScoreFile = read.value;
  const { score } = file;
  const shape = pieceOfScore(score);
  const id = newId();
  await db.transaction(async (tx) => {
    const { instrument } = await studentById(tx, studioId, personId);
    await insertPiece(tx, studioId, personId, {
      ...shape,
      id,
      title: titleOf(score, sent),
      origin: score.composer,
      kind: "piece",
      markBpm: bpm(shape.markBpm),
    });
    const { name: fileName, bytes: original } = sent;
    const at = new Date(now());
    await insertScore(tx, studioId, { id: newId(), pieceId: id, fileName, original, file, at });
    await setPart(tx, studioId, personId, id, likelyPart(score, instrument));
  });
  return ok(id);
}

/** What a page is told of a piece's notes: everything but the notes. */
export async function notationOf(
  { db }: Pick<Services, "db">,
  studioId: string,
  personId: string,
  pieceId: string,
) {
  const stored = await scoreOf(db, studioId, pieceId);
  if (!stored) return undefined;
  const { part_id } = await partOf(db, studioId, personId, pieceId);
  const { score, edition, file_name: fileName } = stored;
  const part = score.parts.find(({ id }) => id === part_id) ?? score.parts[0]!;
  return { edition, fileName, score, partId: part.id };
}
export type Notation = NonNullable<Awaited<ReturnType<typeof notationOf>>>;

const kept = new Kept<Engraved>();

/** The engraved piece, or some bars of it, in the student's part or in all; kept by its content. */
export async function engraved(
  services: Services,
  studioId: string,
  personId: string,
  pieceId: string,
  asked: Pick<EngravingAsked, "width" | "range"> & { readonly allParts: boolean },
): Promise<Engraved | undefined> {
  const [source, notation] = await Promise.all([
    engravingOf(services.db, studioId, pieceId),
    notationOf(services, studioId, personId, pieceId),
  ]);
  if (!source || !notation) return undefined;
  const request: EngravingAsked = {
    source: source.engraving,
    parts: asked.allParts ? [] : [notation.partId],
    width: asked.width,
    range: asked.range,
  };
  return kept.of(nameOf(request), () => services.scores.engrave(request));
}

export const originalFile = ({ db }: Services, studioId: string, pieceId: string) =>
  originalOf(db, studioId, pieceId);
