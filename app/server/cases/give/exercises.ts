import * as v from "valibot";
import { rangeOf } from "~/core/score";
import { err, ok, type Result } from "~/core/result";
import {
  exerciseById,
  keepExercise,
  nameTaken,
  passagesOfPerson,
  pieceOfPerson,
  studioById,
  type Exercise,
} from "~/db/queries";
import { libraryName } from "~/forms/library";
import type { FormRefused } from "~/forms/typed";
import { readForm } from "../../form";
import { todayIn, type Services } from "../../services";
import { giveMaterial, type Given } from "./give";
import { passageLine } from "../../plan/passage-line";

interface Where {
  readonly studioId: string;
  readonly personId: string;
  readonly pieceId: string;
}

/** Keeps a student's piece, with its passages and ladders, as an exercise of the room. */
export async function keepAsExercise(
  { db, newId, now }: Services,
  { studioId, personId, pieceId }: Where,
  form: FormData,
): Promise<Result<string, FormRefused>> {
  const read = readForm(form, v.object({ exercise: libraryName }));
  if (!read.ok) return read;
  const name = read.value.exercise;
  return db.transaction(async (tx) => {
    await pieceOfPerson(tx, studioId, personId, pieceId);
    const all = await passagesOfPerson(tx, studioId, personId);
    const passages = all
      .filter((each) => each.pieceId === pieceId)
      .map(({ name: called, focus, onlyNotes, hardness, order, ladder, ...each }) => ({
        ...rangeOf(each),
        ...{ focus, onlyNotes, hardness, order, name: called },
        ladder: ladder && { ...ladder, part: null, setOn: null },
      }));
    const id = newId();
    const taken = await nameTaken(tx, studioId, { kind: "exercise", id, name });
    const own = taken && (await exerciseById(tx, studioId, taken.id)).piece_id === pieceId;
    if (taken && !own) {
      return err({ errors: { exercise: `Another one is called “${name}” already.` }, values: {} });
    }
    await keepExercise(tx, studioId, { id, pieceId, name, passages, at: new Date(now()) });
    return ok(name);
  });
}

const materialOf = ({ id, version, piece_id: pieceId, piece, passages }: Exercise) => ({
  pieceId,
  stages: undefined,
  passages: passages.map((each): Given => ({
    ...each,
    pieceId,
    piece,
    from: { exercise: id, version },
  })),
});

/** Gives an exercise to students, in one go for all; the ids of the last one's passages. */
export async function giveExercise(
  { db, now, newId }: Services,
  studioId: string,
  exerciseId: string,
  to: readonly string[],
): Promise<string[]> {
  return db.transaction(async (tx) => {
    const today = todayIn({ now }, await studioById(tx, studioId));
    const material = materialOf(await exerciseById(tx, studioId, exerciseId));
    let last: string[] = [];
    for (const student of to) {
      last = await giveMaterial({ tx, studioId, newId, now, today }, material, student);
    }
    return last;
  });
}

/** Gives an exercise at a lesson; its passages as the student now has them. */
export async function giveAtLesson(
  services: Services,
  studioId: string,
  personId: string,
  exerciseId: string,
) {
  const ids = await giveExercise(services, studioId, exerciseId, [personId]);
  const { db } = services;
  const today = todayIn(services, await studioById(db, studioId));
  const passages = await passagesOfPerson(db, studioId, personId);
  return passages.filter(({ id }) => ids.includes(id)).map((each) => passageLine(each, today));
}
