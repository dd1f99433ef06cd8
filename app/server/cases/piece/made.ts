import { exerciseFile, type ScoreFile } from "~/core/formats";
import { exerciseIn, inMode, type Made } from "~/core/exercise";
import { err, ok, type Result } from "~/core/result";
import { pieceOfScore, type Engraved } from "~/core/score";
import { bpm, type Key } from "~/core/units";
import { insertPiece, insertScore, pieceById, setPart, studentById } from "~/db/queries";
import { madeFormSchema } from "~/forms/made";
import type { FormRefused } from "~/forms/typed";
import { readForm } from "../../form";
import type { Services } from "../../services";

const PART = "Exercise";

/** An exercise written out, in the key it was made in or in another; a sentence where it can't be. */
function writtenIn(
  { recipe, tonic }: Made,
  title: string,
  markBpm: number,
  key?: Key,
): Result<ScoreFile, string> {
  const asked = key ? inMode(recipe, key.mode) : recipe;
  const music = exerciseIn(asked, key ?? tonic);
  if (!music.ok) return music;
  const mark = { unit: "quarter", bpm: markBpm } as const;
  return exerciseFile(music.value, asked, { title, composer: "", part: PART, mark });
}

/** An exercise in another key; undefined for whatever was not made as one, or can't be in it. */
export async function madeInKey(
  { db }: Pick<Services, "db">,
  studioId: string,
  pieceId: string,
  key: Key,
): Promise<ScoreFile | undefined> {
  const { made, title, markBpm } = await pieceById(db, studioId, pieceId);
  const file = made && writtenIn(made, title, markBpm, key);
  return file?.ok ? file.value : undefined;
}

/** The notes of an exercise that is being made, for a width. */
export async function previewOfMade(
  { scores }: Pick<Services, "scores">,
  studioId: string,
  { made, width }: { readonly made: Made; readonly width: number },
): Promise<Result<Engraved, string>> {
  const file = writtenIn(made, "", 72);
  if (!file.ok) return file;
  return ok(await scores.engrave(studioId, { source: file.value.engraving, parts: [], width }));
}

/** Lays a new exercise with its notes on a student's stand; gives the id of its piece. */
export async function pieceFromMade(
  { db, newId, now }: Services,
  studioId: string,
  personId: string,
  form: FormData,
): Promise<Result<string, FormRefused>> {
  const read = readForm(form, madeFormSchema);
  if (!read.ok) return read;
  const { title, markBpm, made } = read.value;
  const written = writtenIn(made, title, markBpm);
  if (!written.ok) {
    const values = Object.fromEntries([...form].map(([key, value]) => [key, String(value)]));
    return err({ errors: { made: written.error }, values });
  }
  const file = written.value;
  const shape = pieceOfScore(file.score);
  const id = newId();
  const kind = made.recipe.pattern.kind === "scale" ? ("scale" as const) : ("drill" as const);
  await db.transaction(async (tx) => {
    await studentById(tx, studioId, personId);
    const mark = { markBpm: bpm(markBpm), markUnit: "quarter" as const };
    const piece = { ...shape, ...mark, id, title, origin: "", kind, tempi: null, made };
    await insertPiece(tx, studioId, personId, piece);
    const original = new TextEncoder().encode(file.engraving);
    const fileName = "exercise.musicxml";
    const at = new Date(now());
    await insertScore(tx, studioId, { id: newId(), pieceId: id, fileName, original, file, at });
    await setPart(tx, studioId, personId, id, file.score.parts[0]!.id);
  });
  return ok(id);
}
