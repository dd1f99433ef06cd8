import { createHash } from "node:crypto";
import * as v from "valibot";
import { barLines, evenPlaces, placesSchema, type BarPlace } from "~/core/listen";
import { err, ok, type Result } from "~/core/result";
import { metreAt, type MetreRegion } from "~/core/score";
import type { SessionPlan } from "~/core/session";
import { barLength } from "~/core/units";
import {
  deleteDemonstration,
  demonstrationBytes,
  demonstrationById,
  demonstrationsOf,
  insertDemonstration,
  passagesNamed,
  pieceById,
  pieceOfPerson,
  placeBars,
  studentById,
} from "~/db/queries";
import type { Queries } from "~/db/client";
import type { FormRefused } from "~/forms/typed";
import type { Services } from "../../services";
import { fileRefused, sentFiles, titleOfFile } from "../room/sent-file";
import { forgetSounds } from "./takes";

/** Half an hour, well filled; a room's together. */
const MOST_BYTES = 40_000_000;
const MOST_IN_ROOM = 2_000_000_000;
const LONGEST_NAME = 120;

interface OfPiece {
  readonly studioId: string;
  readonly personId: string;
  readonly pieceId: string;
}

const lengthIn = (metres: readonly MetreRegion[]) => (bar: number) =>
  barLength(metreAt(metres, bar));

/** The demonstrations of a piece, for whoever may see it. */
export async function demonstrationsPage({ db }: Services, of: OfPiece) {
  const { studioId, personId, pieceId } = of;
  const [person, piece, all] = await Promise.all([
    studentById(db, studioId, personId),
    pieceOfPerson(db, studioId, personId, pieceId),
    demonstrationsOf(db, studioId, [pieceId]),
  ]);
  return {
    person: { id: person.id, name: person.name },
    piece: { id: piece.id, title: piece.title, bars: piece.bars },
    demonstrations: all.map(({ id, name, places }) => ({ id, name, places })),
  };
}

/** A sound that the teacher plays the piece on: kept by its content, once. */
export async function addDemonstration(
  { db, takes, scores, newId, now }: Services,
  { studioId, pieceId }: Omit<OfPiece, "personId">,
  form: FormData,
): Promise<Result<string, FormRefused>> {
  const sent = await sentFiles(form, "file", MOST_BYTES);
  if (!sent.ok) return sent;
  const [file] = sent.value;
  const { bytes } = file!;
  const kind = await scores.sound(studioId, { bytes });
  if (!kind) return fileRefused("That is no sound that Fidus knows: WAV, MP3, FLAC, Ogg or M4A.");
  if ((await demonstrationBytes(db, studioId)) + bytes.length > MOST_IN_ROOM) {
    return fileRefused("There is no room left for demonstrations: delete one first.");
  }
  await pieceById(db, studioId, pieceId);
  const hash = createHash("sha256").update(bytes).digest("hex");
  const same = (await demonstrationsOf(db, studioId, [pieceId])).find((each) => each.hash === hash);
  if (same) return ok(same.id);
  const id = newId();
  if ((await takes.keepWhole(id, bytes)) === "full") {
    return fileRefused("The disk of this Fidus is full.");
  }
  const name = titleOfFile(file!).slice(0, LONGEST_NAME);
  const row = { id, piece_id: pieceId, name, bytes: bytes.length, hash, media_type: kind };
  await insertDemonstration(db, studioId, row, new Date(now()));
  return ok(id);
}

const markSchema = v.object({
  demonstration: v.pipe(v.string(), v.uuid()),
  places: v.pipe(v.string(), v.parseJson(undefined, "These are no bar lines."), placesSchema),
  /** It keeps one tempo: what was tapped is moved onto it. */
  even: v.optional(v.picklist(["on", ""]), ""),
});

/** Keeps where the bars of a demonstration begin. */
export async function markDemonstration(
  { db }: Services,
  { studioId, pieceId }: Omit<OfPiece, "personId">,
  form: FormData,
): Promise<Result<readonly BarPlace[], string>> {
  const read = v.safeParse(markSchema, Object.fromEntries(form));
  if (!read.success) return err(read.issues[0].message);
  const { demonstration, places, even } = read.output;
  const [there, piece] = await Promise.all([
    demonstrationById(db, studioId, demonstration),
    pieceById(db, studioId, pieceId),
  ]);
  if (there.piece_id !== pieceId) return err("This demonstration is of another piece.");
  // The line behind the last bar may be marked as well.
  if (places.some(({ bar }) => bar > piece.bars + 1))
    return err(`The piece has ${piece.bars} bars.`);
  const kept = even ? evenPlaces(places, lengthIn(piece.metres)) : places;
  await placeBars(db, studioId, demonstration, kept);
  return ok(kept);
}

/** A demonstration goes, with its sound. */
export async function dropDemonstration(services: Services, studioId: string, id: string) {
  const { hash } = await demonstrationById(services.db, studioId, id);
  await deleteDemonstration(services.db, studioId, id);
  await forgetSounds(services, [hash]);
}

/** A demonstration that a passage can be played along with. */
export interface AlongWith {
  readonly id: string;
  readonly name: string;
  readonly fromBar: number;
  /** When each bar of the passage begins in it, and the last one ends. */
  readonly lines: readonly number[];
}

/** For each passage of a plan the newest demonstration whose bars are marked. */
export async function alongWith(
  db: Queries,
  studioId: string,
  plan: SessionPlan,
): Promise<Readonly<Record<string, AlongWith>>> {
  const ids = [...new Set(plan.blocks.map(({ passageId }) => passageId))];
  const passages = await passagesNamed(db, studioId, ids);
  const pieces = [...new Set(passages.map(({ pieceId }) => pieceId))];
  const all = await demonstrationsOf(db, studioId, pieces);
  return Object.fromEntries(
    passages.flatMap(({ id, pieceId, fromBar, toBar, piece }) => {
      const found = all.find((each) => each.piece_id === pieceId && each.places.length > 1);
      if (!found) return [];
      const lines = barLines(found.places, lengthIn(piece.metres), { from: fromBar, to: toBar });
      if (lines[0]! < 0) return [];
      return [[id, { id: found.id, name: found.name, fromBar, lines }]];
    }),
  );
}

/** The sound of a demonstration, for whoever has its piece on their stand. */
export async function demonstrationSound(
  { db, takes }: Services,
  { studioId, personId }: Omit<OfPiece, "pieceId">,
  id: string,
) {
  const { hash, media_type, piece_id } = await demonstrationById(db, studioId, id);
  await pieceOfPerson(db, studioId, personId, piece_id);
  const read = await takes.read(hash);
  return read && { ...read, mediaType: media_type };
}
