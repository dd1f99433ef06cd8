import type { ScoreFile } from "~/core/formats";
import { err, ok, type Result } from "~/core/result";
import {
  barAt,
  firstPosition,
  pieceOfScore,
  shapeDifferences,
  type Engraved,
  type Score,
  tempiOfScore,
  withMark,
} from "~/core/score";
import { bpm, type Key } from "~/core/units";
import {
  barsCut,
  engravingOf,
  insertPiece,
  insertScore,
  lastBarCut,
  originalOf,
  partOf,
  pieceOfPerson,
  scoreOf,
  setPart,
  studentById,
  updatePiece,
} from "~/db/queries";
import type { FormRefused } from "~/forms/typed";
import { nameOf, type EngravingAsked } from "../../score/engraving";
import { Kept } from "../../score/kept";
import type { Services } from "../../services";
import { madeInKey } from "./made";
import type { OfPiece } from "./of-piece";
import { paperEngraved } from "./paper";
import { fileRefused, sameBytes, sentFiles, titleOfFile, type SentFile } from "../room/sent-file";

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
  const given = await sentFiles(form);
  if (!given.ok) return given;
  const sent = given.value[0]!;
  const read = await scores.read(studioId, sent.bytes);
  if (!read.ok) return fileRefused(read.error);
  const file: ScoreFile = read.value;
  const { score } = file;
  const shape = pieceOfScore(score);
  const id = newId();
  await db.transaction(async (tx) => {
    const { instrument } = await studentById(tx, studioId, personId);
    await insertPiece(tx, studioId, personId, {
      ...shape,
      id,
      title: score.title || titleOfFile(sent),
      origin: score.composer,
      kind: "piece",
      markBpm: bpm(shape.markBpm),
      tempi: tempiOfScore(score) ?? null,
      made: null,
    });
    const { name: fileName, bytes: original } = sent;
    const at = new Date(now());
    await insertScore(tx, studioId, { id: newId(), pieceId: id, fileName, original, file, at });
    await setPart(tx, studioId, personId, id, likelyPart(score, instrument));
  });
  return ok(id);
}

/** What came of laying notes under a piece. */
export interface LaidOut {
  readonly edition: number;
  /** Bars of passages that are numbered otherwise than in the edition before. */
  readonly renumbered: readonly {
    readonly bar: number;
    readonly was: string;
    readonly is: string;
  }[];
}

/**
 * Lays the notes of a file under a piece that is there: its first, or a new edition. Passages, flaws
 * and marks stay where they are. What was typed by hand stays too, unless `takeOver` says otherwise;
 * where the file says something else, that is asked.
 */
export async function layOutNotes(
  { db, newId, now, scores }: Services,
  { studioId, personId, pieceId }: OfPiece,
  sent: SentFile,
  takeOver = false,
): Promise<Result<LaidOut, FormRefused>> {
  const read = await scores.read(studioId, sent.bytes);
  if (!read.ok) return fileRefused(read.error);
  const file = read.value;
  const shape = pieceOfScore(file.score);
  return db.transaction(async (tx) => {
    const piece = await pieceOfPerson(tx, studioId, personId, pieceId);
    const before = await scoreOf(tx, studioId, pieceId);
    if (before && sameBytes((await originalOf(tx, studioId, pieceId)).original, sent.bytes)) {
      return fileRefused("This file is there already; nothing was changed.");
    }
    const { last } = await lastBarCut(tx, studioId, pieceId);
    if (last > shape.bars) {
      return fileRefused(`The file has ${shape.bars} bars, and a passage goes to bar ${last}.`);
    }
    const others = shapeDifferences(piece, shape, file.score.tempi.length > 0);
    if (others.length > 0 && !takeOver) {
      return fileRefused(`${others.join(" ")} Tick the box to take over what the file says.`);
    }
    const marked = tempiOfScore(file.score);
    if (others.length > 0) {
      const tempi = marked ?? (piece.tempi && withMark(piece.tempi, shape));
      await updatePiece(tx, studioId, {
        ...piece,
        ...shape,
        markBpm: bpm(shape.markBpm),
        tempi,
        made: null,
      });
    } else if ((marked && !piece.tempi) || piece.made) {
      // What was made here is no longer what its recipe writes.
      await updatePiece(tx, studioId, {
        ...piece,
        tempi: piece.tempi ?? marked ?? null,
        made: null,
      });
    }
    const cut = await barsCut(tx, studioId, pieceId);
    const { name: fileName, bytes: original } = sent;
    const at = new Date(now());
    await insertScore(tx, studioId, { id: newId(), pieceId, fileName, original, file, at });
    const { instrument } = await studentById(tx, studioId, personId);
    const { part_id } = await partOf(tx, studioId, personId, pieceId);
    if (!file.score.parts.some(({ id }) => id === part_id)) {
      await setPart(tx, studioId, personId, pieceId, likelyPart(file.score, instrument));
    }
    return ok({
      edition: (before?.edition ?? 0) + 1,
      renumbered: before ? renumbered(before.score, file.score, cut) : [],
    });
  });
}

function renumbered(before: Score, after: Score, bars: readonly number[]) {
  return bars.flatMap((bar) => {
    const was = barAt(before, bar)?.label ?? "";
    const is = barAt(after, bar)?.label ?? "";
    return was === is ? [] : [{ bar, was, is }];
  });
}

/** Chooses the part that a student plays of a piece. */
export async function choosePart(
  { db }: Services,
  { studioId, personId, pieceId }: OfPiece,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const stored = await scoreOf(db, studioId, pieceId);
  const part = stored?.score.parts.find(({ id }) => id === form.get("part"));
  if (!part) return err({ errors: { part: "Choose one of the parts." }, values: {} });
  await setPart(db, studioId, personId, pieceId, part.id);
  return ok(undefined);
}

/** Notes for a piece as its form sends them. */
export async function notesFromForm(
  services: Services,
  of: OfPiece,
  form: FormData,
): Promise<Result<LaidOut, FormRefused>> {
  const sent = await sentFiles(form);
  if (!sent.ok) return sent;
  return layOutNotes(services, of, sent.value[0]!, form.get("over") === "on");
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

/**
 * The engraved piece, or some bars of it, in the student's part or in all; kept by its content.
 * Without notes it is cut out of its pages of paper, where it has any.
 */
export async function engraved(
  services: Services,
  studioId: string,
  personId: string,
  pieceId: string,
  asked: Pick<EngravingAsked, "width" | "range"> & {
    readonly allParts: boolean;
    /** An exercise is written in it instead. */
    readonly key?: Key | undefined;
  },
): Promise<Engraved | undefined> {
  const [source, notation] = await Promise.all([
    engravingOf(services.db, studioId, pieceId),
    notationOf(services, studioId, personId, pieceId),
  ]);
  if (!source || !notation) return paperEngraved(services, { studioId, personId, pieceId }, asked);
  const range = asked.range && withinBars(notation.score, asked.range);
  if (asked.range && !range) return undefined;
  const request: EngravingAsked = {
    source:
      (asked.key && (await madeInKey(services, studioId, pieceId, asked.key))?.engraving) ??
      source.engraving,
    parts: asked.allParts ? [] : [notation.partId],
    width: asked.width,
    range,
  };
  return kept.of(nameOf(request), () => services.scores.engrave(studioId, request));
}

/** What of a range the score has: a piece may tell a pickup, or more bars, than its notes hold. */
function withinBars(score: Score, { from, to }: NonNullable<EngravingAsked["range"]>) {
  const first = firstPosition(score);
  const range = {
    from: Math.max(from, first),
    to: Math.min(to, first + score.bars.length - 1),
  };
  return range.from <= range.to ? range : undefined;
}

export const originalFile = ({ db }: Services, studioId: string, pieceId: string) =>
  originalOf(db, studioId, pieceId);
