import * as v from "valibot";
import type { Ladder } from "~/core/ladder";
import { sentences, err, ok, type Result } from "~/core/result";
import { DatabaseError } from "~/db/client";
import {
  dropKeptLadder,
  dropSharedShape,
  keepLadder,
  keptLadders,
  renameKeptLadder,
  sharedShapes,
} from "~/db/queries";
import type { FormRefused } from "~/forms/typed";
import { readForm } from "../form";
import type { Services } from "../services";
import { ladderTextSchema } from "./ladder-text";

const LONGEST_NAME = 80;
const MOST_KEPT = 500;

const nameSchema = v.pipe(
  v.string("Give it a name."),
  v.trim(),
  v.minLength(1, "Give it a name."),
  v.maxLength(LONGEST_NAME, `Keep the name under ${LONGEST_NAME} characters.`),
);

export interface ToKeep {
  readonly name: string;
  readonly ladder: Ladder;
}

/** A ladder with its name, as the workshop sends it. */
export function readKept(form: FormData): Result<ToKeep, FormRefused> {
  const read = v.safeParse(v.object({ name: nameSchema, ladder: ladderTextSchema }), {
    name: form.get("name"),
    ladder: form.get("ladder"),
  });
  if (read.success) return ok(read.output);
  const { name, ...rest } = sentences(read.issues);
  const [other] = Object.values(rest);
  const errors = { ...(name ? { name } : {}), ...(other ? { form: other } : {}) };
  return err({ errors, values: {} });
}

/** Everything that the studio keeps to use again. */
export const libraryPage = async ({ db }: Services, studioId: string) => ({
  kept: (await keptLadders(db, studioId)).map(({ keptAt, ...rest }) => ({
    ...rest,
    keptAt: keptAt.getTime(),
  })),
  shapes: await sharedShapes(db, studioId),
});

/** Takes a plan of sessions out of the library. */
export async function takeShapeOut({ db }: Services, studioId: string, id: string) {
  const rows = await dropSharedShape(db, studioId, id);
  if (rows === 0) throw new DatabaseError("not-found", "There is no such plan in the library.");
}

/** Keeps a ladder under a name, without what belongs to one passage only. */
export async function keepInLibrary(
  { db, newId, now }: Services,
  studioId: string,
  { name, ladder }: ToKeep,
): Promise<Result<string, FormRefused>> {
  const { length } = await keptLadders(db, studioId);
  if (length >= MOST_KEPT) {
    const sentence = `The library holds ${MOST_KEPT} ladders; take one out first.`;
    return err({ errors: { name: sentence }, values: {} });
  }
  const general = { ...ladder, part: null, setOn: null };
  const keptAt = new Date(now());
  await keepLadder(db, studioId, { id: newId(), name, ladder: general, keptAt });
  return ok(name);
}

export async function takeOutOfLibrary({ db }: Services, studioId: string, id: string) {
  const rows = await dropKeptLadder(db, studioId, id);
  if (rows === 0) throw new DatabaseError("not-found", "There is no such ladder in the library.");
}

const renameSchema = v.object({
  id: v.pipe(v.string(), v.uuid("The ladder can't be read.")),
  name: nameSchema,
});

/** Gives a ladder of the library another name, unless another one has it. */
export async function renameInLibrary(
  { db }: Services,
  studioId: string,
  form: FormData,
): Promise<Result<string, FormRefused>> {
  const read = readForm(form, renameSchema);
  if (!read.ok) return read;
  const { id, name } = read.value;
  const taken = (await keptLadders(db, studioId)).some(
    (each) => each.name === name && each.id !== id,
  );
  if (taken) {
    const errors = { name: `Another ladder is called “${name}” already.` };
    return err({ errors, values: { name } });
  }
  await renameKeptLadder(db, studioId, id, name);
  return ok(name);
}
