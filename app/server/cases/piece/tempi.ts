import * as v from "valibot";
import { err, ok, type Result } from "~/core/result";
import { changeRefused, courseOfPiece, markOf, type Tempi } from "~/core/score";
import { pieceOfPerson, updatePiece } from "~/db/queries";
import { tempiTextSchema } from "~/forms/tempi";
import type { FormRefused } from "~/forms/typed";
import type { Services } from "../../services";
import type { OfPiece } from "./of-piece";

const refuse = (sentence: string) => err({ errors: { tempi: sentence }, values: {} });

/** Sets the regions of tempo of a piece, and with the first of them its mark. */
export async function setTempi(
  { db }: Services,
  { studioId, personId, pieceId }: OfPiece,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const read = v.safeParse(tempiTextSchema, form.get("tempi"));
  if (!read.success) return refuse(read.issues[0].message);
  const tempi: Tempi = read.output;
  return db.transaction(async (tx) => {
    const piece = await pieceOfPerson(tx, studioId, personId, pieceId);
    const beyond = tempi.regions.find(({ fromBar }) => fromBar > piece.bars);
    if (beyond) return refuse(`Bar ${beyond.fromBar} lies beyond the last, ${piece.bars}.`);
    const course = courseOfPiece({ ...piece, tempi });
    for (const change of course.changes) {
      const sentence = changeRefused(course, change);
      if (sentence) return refuse(sentence);
    }
    await updatePiece(tx, studioId, { ...piece, ...markOf(tempi), tempi });
    return ok(undefined);
  });
}
