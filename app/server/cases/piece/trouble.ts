import * as v from "valibot";
import { err, ok, sentences, type Result } from "~/core/result";
import { difficultyOf, hardnessOf, PASSAGE_STATES, type BarDifficulty } from "~/core/score";
import {
  markBars,
  notesOf,
  passagesOfPerson,
  pieceById,
  pieceOfPerson,
  setHardness,
} from "~/db/queries";
import type { FormRefused } from "~/forms/typed";
import { Kept } from "../../score/kept";
import type { Services } from "../../services";
import type { OfPiece } from "./of-piece";
import { notationOf, type Notation } from "./scores";

const bar = v.pipe(
  v.string(),
  v.regex(/^\d{1,4}$/, "Choose bars of the piece."),
  v.transform(Number),
);
const markSchema = v.object({
  fromBar: bar,
  toBar: bar,
  mark: v.picklist([...PASSAGE_STATES, "none"], "Choose a mark."),
});

/** Marks how well bars go, as they were touched. */
export async function markTrouble(
  { db, now }: Services,
  of: OfPiece,
  form: FormData,
): Promise<Result<undefined, FormRefused>> {
  const read = v.safeParse(markSchema, Object.fromEntries(form));
  if (!read.success) return err({ errors: sentences(read.issues), values: {} });
  const { mark, ...range } = read.output;
  const { bars } = await pieceOfPerson(db, of.studioId, of.personId, of.pieceId);
  if (range.toBar > bars || range.toBar < range.fromBar) {
    return err({ errors: { form: `The piece has ${bars} bars.` }, values: {} });
  }
  const { studioId, personId, pieceId } = of;
  const marked = { personId, pieceId, ...range };
  await markBars(db, studioId, marked, mark === "none" ? undefined : mark, new Date(now()));
  return ok(undefined);
}

/** The notes of an edition never change, so neither does how hard they are. */
const kept = new Kept<BarDifficulty[]>();

/** How hard each bar of the student's part is; nothing without notes. */
export async function profileOf(
  { db }: Pick<Services, "db">,
  studioId: string,
  pieceId: string,
  notation: Notation | undefined,
): Promise<BarDifficulty[]> {
  if (!notation) return [];
  const { markBpm, markUnit } = await pieceById(db, studioId, pieceId);
  const { score, edition, partId } = notation;
  const name = [studioId, pieceId, edition, partId, markBpm, markUnit].join(" ");
  return kept.of(name, async () => {
    const stored = await notesOf(db, studioId, pieceId);
    const part = score.parts.findIndex(({ id }) => id === partId);
    return difficultyOf(score, stored?.notes ?? [], part, { bpm: markBpm, unit: markUnit });
  });
}

/** Writes down how hard the passages of a student's piece are, as its notes are now. */
export async function measurePassages(
  services: Services,
  { studioId, personId, pieceId }: OfPiece,
): Promise<void> {
  const { db } = services;
  const notation = await notationOf(services, studioId, personId, pieceId);
  const profile = await profileOf(services, studioId, pieceId, notation);
  const passages = await passagesOfPerson(db, studioId, personId);
  for (const { id, hardness, ...passage } of passages) {
    const measured = passage.pieceId === pieceId ? hardnessOf(profile, passage) : hardness;
    if (measured !== hardness) await setHardness(db, studioId, id, measured);
  }
}
