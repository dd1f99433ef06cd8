import * as v from "valibot";
import type { Ladder } from "~/core/ladder";
import { passageRangeOf, type PassageState } from "~/core/score";
import {
  insertLadder,
  insertPassage,
  passageById,
  retirePassage,
  setPassageState,
  type Piece,
} from "~/db/queries";
import type { Services } from "../services";

const LONGEST_NAME = 120;
const shortText = v.pipe(
  v.optional(v.string(), ""),
  v.trim(),
  v.maxLength(LONGEST_NAME, `Keep it under ${LONGEST_NAME} characters.`),
);

/** A cut as its form sends it, checked against its piece. */
export const cutSchema = (piece: Piece) =>
  v.intersect([passageRangeOf(piece), v.object({ name: shortText, focus: shortText })]);

export async function cutPassage(
  { db, newId }: Services,
  studioId: string,
  where: { personId: string; pieceId: string },
  cut: v.InferOutput<ReturnType<typeof cutSchema>>,
): Promise<string> {
  const id = newId();
  await insertPassage(db, studioId, { ...cut, ...where, id });
  return id;
}

/** Puts a ladder in force for a passage of the studio. */
export async function setLadder(
  { db, newId }: Services,
  studioId: string,
  passageId: string,
  ladder: Ladder,
): Promise<void> {
  await db.transaction(async (tx) => {
    await passageById(tx, studioId, passageId);
    await insertLadder(tx, studioId, passageId, newId(), ladder);
  });
}

export const setState = (
  { db }: Services,
  studioId: string,
  passageId: string,
  state: PassageState | null,
) => setPassageState(db, studioId, passageId, state);

export const putAway = ({ db }: Services, studioId: string, passageId: string) =>
  retirePassage(db, studioId, passageId);
