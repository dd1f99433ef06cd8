import type * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import { withMark } from "~/core/score";
import { bpm } from "~/core/units";
import { insertPiece, lastBarCut, pieceById, studentById, updatePiece } from "~/db/queries";
import { pieceFormSchema } from "~/forms/piece";
import type { FormRefused } from "~/forms/typed";
import { readForm } from "../../form";
import type { Services } from "../../services";

export const readPieceForm = (form: FormData) => readForm(form, pieceFormSchema);

/** Adds a piece to the studio and puts it on a student's stand; gives its id. */
export async function addPiece(
  { db, newId }: Services,
  studioId: string,
  personId: string,
  piece: v.InferOutput<typeof pieceFormSchema>,
): Promise<string> {
  const id = newId();
  await db.transaction(async (tx) => {
    await studentById(tx, studioId, personId);
    await insertPiece(tx, studioId, personId, {
      ...piece,
      id,
      markBpm: bpm(piece.markBpm),
      tempi: null,
      made: null,
    });
  });
  return id;
}

/** Adds a piece as its form tells it; gives its id. */
export async function pieceByHand(
  services: Services,
  studioId: string,
  personId: string,
  form: FormData,
): Promise<Result<string, FormRefused>> {
  const read = readPieceForm(form);
  return read.ok ? ok(await addPiece(services, studioId, personId, read.value)) : read;
}

/** Changes a piece; it can't become shorter than the passages that are cut from it. */
export async function changePiece(
  { db }: Services,
  studioId: string,
  pieceId: string,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const read = readPieceForm(form);
  if (!read.ok) return read;
  return db.transaction(async (tx) => {
    const { tempi, made } = await pieceById(tx, studioId, pieceId);
    const { last } = await lastBarCut(tx, studioId, pieceId);
    if (last > read.value.bars) {
      const bars = `A passage goes to bar ${last}; put it away before the piece gets shorter.`;
      const values = Object.fromEntries([...form].map(([key, value]) => [key, String(value)]));
      return err({ errors: { bars }, values });
    }
    await updatePiece(tx, studioId, {
      ...read.value,
      id: pieceId,
      markBpm: bpm(read.value.markBpm),
      // The mark is the tempo of the first region.
      tempi: tempi && withMark(tempi, read.value),
      made,
    });
    return ok(undefined);
  });
}
