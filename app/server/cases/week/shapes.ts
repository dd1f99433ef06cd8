import * as v from "valibot";
import { shapeSchema } from "~/core/session";
import { dropShape, keepShape } from "~/db/queries";
import type { Services } from "../../services";

const LONGEST_NAME = 80;

export const shapeActSchema = v.variant("act", [
  v.object({
    act: v.literal("keep"),
    name: v.pipe(
      v.string(),
      v.trim(),
      v.minLength(1, "Give the plan a name."),
      v.maxLength(LONGEST_NAME, `Keep it under ${LONGEST_NAME} characters.`),
    ),
    shape: v.pipe(v.string(), v.parseJson(undefined, "The plan can't be read."), shapeSchema),
    shared: v.pipe(
      v.optional(v.string(), ""),
      v.transform((value) => value === "on"),
    ),
  }),
  v.object({ act: v.literal("forget"), id: v.pipe(v.string(), v.uuid()) }),
]);

/** Keeps a shape under a name (the same name writes over it), or forgets one. Only a teacher shares. */
export async function actOnShapes(
  { db, now, newId }: Services,
  studioId: string,
  personId: string,
  act: v.InferOutput<typeof shapeActSchema>,
  teaches: boolean,
): Promise<void> {
  if (act.act === "forget") await dropShape(db, studioId, personId, act.id);
  else {
    const { name, shape } = act;
    const kept = { id: newId(), name, shape, shared: teaches && act.shared };
    await keepShape(db, studioId, personId, { ...kept, at: new Date(now()) });
  }
}
